import { isFileProblem } from '@brine/core/foundation/files';
import { readBox, type BoxFile } from '@brine/core/machines/identification';
import { anyText, judged, text, LONGEST_CODE, LONGEST_NAME } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const boxProblem = (value: unknown) => {
  const read = readBox(value);
  return isFileProblem(read) ? read : null;
};

/** The unit’s own box as it was learned from a log of it; null: forgotten. */
export const learned = entry('learned', {
  /** The log’s name, and from when to when it was learned from. */
  name: text(LONGEST_NAME),
  from: anyText(LONGEST_CODE),
  to: anyText(LONGEST_CODE),
  /** What the unit was when it was learned; another mark: it was described otherwise since. */
  unit: anyText(LONGEST_CODE),
  box: judged<BoxFile>(boxProblem).nullable().defined('expected a box or null'),
});

export type Learned = BodyOf<typeof learned>;
