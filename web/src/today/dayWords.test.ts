import { expect, test } from '@jest/globals';
import { dayWords, longDay } from './dayWords.ts';

// 30 November 2026 is a Monday (ISO 8601 week 49).
test.each([
  ['2026-11-30', 'today'],
  ['2026-12-01', 'tomorrow'],
  ['2026-12-03', 'Thursday'],
  ['2026-12-10', '10 December'],
  ['2026-11-29', 'since yesterday'],
  ['2026-11-20', '10 days late'],
])('%s is %s', (day, words) => expect(dayWords(day, '2026-11-30')).toBe(words));

test('a day has its weekday', () => expect(longDay('2026-11-24')).toBe('Tuesday 24 November'));
