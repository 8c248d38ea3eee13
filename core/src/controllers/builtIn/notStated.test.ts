import { expect, test } from '@jest/globals';
import { families, family } from '../../../testing/families.ts';
import { notStated } from './notStated.ts';

test.each([...families.keys()])('%s states all it has', (id) => {
  expect(notStated(family(id)).filter((words) => !/deduced|hole/.test(words))).toEqual([]);
});

test('what a booklet left out is named, and how much is only deduced', () => {
  const { relays: _r, alarmCodes: _a, fixed: _f, ...left } = family('strath-5');
  expect(notStated(left)).toEqual([
    'relays',
    'alarm codes',
    expect.stringMatching(/^\d+ built-in facts are only deduced$/),
  ]);
});
