import { describe, expect, test } from '@jest/globals';
import type { MayBe } from '@brine/core/controllers/interrupted';
import { settledBy } from './settledBy.ts';

const memory = (values: Record<string, number>): MayBe => ({
  memory: new Map(Object.entries(values)),
  stops: [],
});
const done = [
  { code: 'a', value: 1 },
  { code: 'b', value: 2 },
];
const under = { code: 'c', value: 3 };

// Oracle: read off the memories by hand.
describe('what the readings came to', () => {
  test('what the one memory that is left holds is kept; the code under hand is ticked with it', () => {
    const left = [memory({ a: 1, b: 2, c: 3 })];
    expect(settledBy({ done, under, left, taken: [] })).toEqual({
      kept: ['a', 'b', 'c'],
      stands: ['c'],
      lost: [],
    });
  });

  test('what it does not hold is keyed anew; the code under hand is not lost, it was never done', () => {
    const left = [memory({ a: 1, b: 0, c: 0 })];
    expect(settledBy({ done, under, left, taken: [] })).toEqual({ kept: ['a'], stands: [], lost: ['b'] });
  });

  test('what no reading could tell is keyed anew', () => {
    const left = [memory({ a: 1, b: 2, c: 0 }), memory({ a: 0, b: 2, c: 0 })];
    expect(settledBy({ done, under: null, left, taken: [] })).toEqual({
      kept: ['b'],
      stands: [],
      lost: ['a'],
    });
  });

  test('a value read on the display counts before every memory', () => {
    const left = [memory({ a: 1, b: 2, c: 0 })];
    expect(settledBy({ done, under, left, taken: [{ code: 'b', value: 9 }] })).toEqual({
      kept: ['a'],
      stands: [],
      lost: ['b'],
    });
  });
});
