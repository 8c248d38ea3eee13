import { strokeWords, type PlanStep, type ReadingStrokes } from '@brine/core/controllers/panel';
import type { Panel } from '@brine/core/controllers/definitions';

/** One stroke in words: what comes before the keys, the keys, what comes after, what the display then shows; null where that goes without saying. */
export interface CabinetStroke {
  readonly before: string;
  readonly keys: readonly string[];
  readonly after: string;
  readonly shows: string | null;
  readonly say: string | null;
}

/** The strokes that read a code, in words; where the value comes on the display, it is said so. */
export function readingLines(
  panel: Panel,
  { steps, valueAt }: Pick<ReadingStrokes, 'steps' | 'valueAt'>,
): readonly CabinetStroke[] {
  return steps.map((step: PlanStep, i) => {
    const words = strokeWords(panel, step);
    const goesWithoutSaying = step.shows === 'reading' || words.after.startsWith('until');
    return {
      ...words,
      shows: i === valueAt ? 'the value' : goesWithoutSaying ? null : step.shows,
      say: step.say ?? null,
    };
  });
}
