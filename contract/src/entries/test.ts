import { anyText, finite, id, oneOf, uuidField, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A test of the commissioning list: its result, what was read, a word, a picture. */
export const test = entry('test', {
  test: id(),
  result: oneOf(['passed', 'failed', 'skipped']).nullable(),
  value: finite().nullable(),
  word: anyText(LONGEST_TEXT).when('result', ([result], field) =>
    result === 'skipped' ? field.matches(/\S/, 'expected why it was skipped') : field,
  ),
  picture: uuidField().nullable(),
});

export type Test = BodyOf<typeof test>;
