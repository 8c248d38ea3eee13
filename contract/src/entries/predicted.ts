import { object } from 'yup';
import { isSettingId, validateValue, type SettingValues } from '@brine/core/foundation/settings';
import { predictedIds } from '@brine/core/machines/identification';
import { finite, judged, listOf, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const valuesProblem = (values: unknown): string | null => {
  if (typeof values !== 'object' || values === null || Array.isArray(values))
    return 'expected an object from setting ids to values';
  for (const [id, value] of Object.entries(values)) {
    if (!isSettingId(id)) return `${id} is not a known setting`;
    const wrong = validateValue(id, value);
    if (wrong !== null) return `${id}: ${wrong.message}`;
  }
  return null;
};

const figure = object({
  figure: oneOf(predictedIds),
  value: finite(),
  low: finite(),
  high: finite(),
});

/** What the unit’s days were said to come to when it was handed over, each figure with its 80 % interval; the next log is held against it. */
export const predicted = entry('predicted', {
  figures: listOf(figure, predictedIds.length, 'figures'),
  /** The settings it was said of. */
  values: judged<SettingValues>(valuesProblem).defined('expected the settings'),
});

export type Predicted = BodyOf<typeof predicted>;
