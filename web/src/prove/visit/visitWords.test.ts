import { expect, test } from '@jest/globals';
import type { VisitPlan } from '@brine/core/judgement/leaving';
import { printFor } from '@brine/core/foundation/quantities';
import { localTime } from '../../shared/display/localTime.ts';
import { askWords, countWords, oftenWords, spanWords } from './visitWords.ts';

const at = Date.parse('2026-11-20T17:00:00Z');
const clock = (minutes: number) => localTime(new Date(at + 60_000 * minutes).toISOString());

test('a time is told with its range, alone where it is sure', () => {
  expect(spanWords(at, { early: 1440, likely: 1860, late: 2580 })).toBe(
    `${clock(31)}, between ${clock(24)} and ${clock(43)}`,
  );
  expect(spanWords(at, { early: 600, likely: 610, late: 620 })).toBe(clock(10));
});

test.each([
  [1, 'It fits into your time.'],
  [0.84, 'It fits 8 times out of 10.'],
  [0.04, 'It does not fit into your time.'],
])('%s of the ways in time', (fits, words) => expect(oftenWords(fits)).toBe(words));

test('what is in it and what is not is counted by tests', () => {
  const plan = (left: number) =>
    ({
      steps: [{ way: { tests: ['a', 'b'] } }, { way: { tests: ['c'] } }],
      left: Array.from({ length: left }, () => ({ tests: ['x'], title: 'X' })),
    }) as unknown as VisitPlan;
  expect(countWords(plan(0))).toBe('All 3 open tests are in it.');
  expect(countWords(plan(4))).toBe('3 of 7 open tests are in it.');
});

test('people on site are asked in their own degrees', () =>
  expect(askWords('17:40', { least: 1.1, most: 3.3 }, (q) => printFor(q, 'degF'))).toBe(
    'At 17:40 the display must show between 34 °F and 37.9 °F.',
  ));
