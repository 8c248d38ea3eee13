import { expect, test } from '@jest/globals';
import { cutText } from './cutText.ts';

test.each([
  ['short', 10, 'short'],
  ['abc', 2, 'ab'],
  ['ab😀', 3, 'ab😀'],
  ['ab😀', 2, 'ab'],
  ['😀😀😀', 2, '😀😀'],
])('%s cut to %i characters is %s', (text, most, cut) => expect(cutText(text, most)).toBe(cut));

test('what is cut is always whole: no half of a character stands at its end', () => {
  const text = `${'a'.repeat(1999)}😀`;
  for (let most = 1995; most <= 2001; most += 1)
    expect(/\p{Surrogate}/u.test(cutText(text, most))).toBe(false);
  expect(cutText(text, 2000)).toBe(text);
});
