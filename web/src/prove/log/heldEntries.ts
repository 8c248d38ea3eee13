import type { HeldFigure } from '@brine/core/judgement/learning';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { EntryBody } from '@brine/core/record/entries';
import { inDays } from '../../shared/display/dates.ts';
import { predictedNames, predictedWords } from '../../shared/learnedBox/predictedWords.ts';

/** Days until somebody looks after a unit that does otherwise than predicted. */
const LOOKED_AT_IN = 3;

/** What is kept of a log that was held against a prediction: the figures, the follow-up that asked for it as done, and a new one where a figure is elsewhere. */
export function heldEntries(
  held: readonly HeldFigure[],
  log: { readonly id: string; readonly name: string },
  predictedAt: string,
  asked: { readonly id: string; readonly due: string; readonly what: string } | undefined,
  unit: TemperatureUnit,
): readonly EntryBody[] {
  const off = held
    .filter((f) => f.stands === 'off')
    .map(
      (f) =>
        `${predictedNames[f.figure].toLowerCase()} ${predictedWords(f.figure, f.measured, unit)} instead of ${predictedWords(f.figure, f.value, unit)}`,
    );
  return [
    {
      kind: 'heldAgainst',
      log: log.id,
      name: log.name,
      predictedAt,
      figures: held.map(({ stands: _stands, ...figure }) => figure),
    },
    ...(asked
      ? [
          {
            kind: 'followUp' as const,
            id: asked.id,
            followUp: { due: asked.due, what: asked.what, done: true },
          },
        ]
      : []),
    ...(off.length > 0
      ? [
          {
            kind: 'followUp' as const,
            id: `against:${log.id}`,
            followUp: {
              due: inDays(LOOKED_AT_IN),
              what: `${log.name} is not as predicted: ${off.join('; ')}. Find out why.`,
              done: false,
            },
          },
        ]
      : []),
  ];
}
