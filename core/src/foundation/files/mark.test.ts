import { expect, test } from '@jest/globals';
import { markOf } from './mark.ts';

test('the order of fields does not matter, that of lists does, and each value does', () => {
  const one = { a: 1, b: { c: [1, 2], d: undefined } };
  expect(markOf({ b: { c: [1, 2] }, a: 1 })).toBe(markOf(one));
  expect(markOf({ ...one, b: { c: [2, 1] } })).not.toBe(markOf(one));
  expect(markOf({ ...one, a: 1.5 })).not.toBe(markOf(one));
  expect(markOf('')).toMatch(/^[0-9a-f]{16}$/);
});

// Oracle: FNV-1a of one byte by hand: (offset XOR byte) times the prime, modulo 2³². JSON of 1 is "1", byte 0x31.
test('the first half is FNV-1a of the text', () => {
  const byHand = Number(((BigInt(0x811c9dc5 ^ 0x31) & 0xffffffffn) * 0x01000193n) % 2n ** 32n);
  expect(markOf(1).slice(0, 8)).toBe(byHand.toString(16).padStart(8, '0'));
});
