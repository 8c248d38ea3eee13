import { expect, test } from '@jest/globals';
import { kindWords } from './kindWords.ts';

// Oracle: by hand. e^-0.3567 = 0.7; one spread of a tenth either way gives 63 to 77 %.
test('what a kind has in common is said against the usual, with how far two of three differ', () => {
  expect(kindWords({ capacity: { usual: -0.3567, spread: 0.1 } })).toEqual([
    'the machine gives 70 % of the usual, two of three between 63 and 77 %',
  ]);
  expect(kindWords({})).toEqual([]);
});
