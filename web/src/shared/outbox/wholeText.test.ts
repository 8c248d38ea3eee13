import { expect, test } from '@jest/globals';
import { wholeText } from './wholeText.ts';

test('halves of characters and NUL go, whole ones stay, wherever they stand', () => {
  expect(wholeText({ kind: 'note', text: 'a\uD83D' })).toEqual({ kind: 'note', text: 'a' });
  expect(wholeText({ rows: [{ value: '😀\0' }, 5, null, true] })).toEqual({
    rows: [{ value: '😀' }, 5, null, true],
  });
});
