import { expect, test } from '@jest/globals';
import { isFileProblem } from '../../foundation/files/index.ts';
import { gapSentence, logGaps } from './logGaps.ts';
import { readLog } from './readLog.ts';

const sentence = (text: string) => {
  const rows = readLog(text);
  if (isFileProblem(rows)) throw new Error(rows.message);
  return gapSentence(logGaps(rows));
};

test('a gap of hours is told with its line; a log without one says nothing', () => {
  expect(sentence('time,air_degC\n0,3\n60,4\n36060,5\n')).toBe(
    'line 4: no reading for 10 h before it; the last one was held.',
  );
  expect(sentence('time,air_degC\n0,3\n4000,4\n36060,5\n40000,5\n')).toContain('2 more such gaps');
  expect(sentence('time,air_degC\n0,3\n3599,4\n')).toBe('');
});
