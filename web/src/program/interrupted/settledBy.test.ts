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
/** All of it taken, some of it, none of it. */
const memories = [memory({ a: 1, b: 2, c: 3 }), memory({ a: 1, b: 2, c: 0 }), memory({ a: 0, b: 0, c: 0 })];

// Oracle: read off the memories by hand.
describe('what the readings came to', () => {
  test('what the one memory that is left holds is kept; the code under hand is ticked with it', () => {
    const left = [memory({ a: 1, b: 2, c: 3 })];
    expect(settledBy({ done, under, memories, left, taken: [] })).toEqual({
      kept: ['a', 'b', 'c'],
      stands: ['c'],
      lost: [],
      untold: [],
    });
  });

  test('the code under hand is not ticked where every memory holds it: that is the factory value, which nobody saw', () => {
    const all = [memory({ a: 1, b: 2, c: 3 }), memory({ a: 0, b: 0, c: 3 })];
    expect(settledBy({ done, under, memories: all, left: [all[0]!], taken: [] })).toEqual({
      kept: ['a', 'b'],
      stands: [],
      lost: [],
      untold: [],
    });
  });

  test('what it does not hold is keyed anew; the code under hand is not lost, it was never done', () => {
    const left = [memory({ a: 1, b: 0, c: 0 })];
    expect(settledBy({ done, under, memories, left, taken: [] })).toEqual({
      kept: ['a'],
      stands: [],
      lost: ['b'],
      untold: [],
    });
  });

  test('what no reading could tell is keyed anew', () => {
    const left = [memory({ a: 1, b: 2, c: 0 }), memory({ a: 0, b: 2, c: 0 })];
    expect(settledBy({ done, under: null, memories, left, taken: [] })).toEqual({
      kept: ['b'],
      stands: [],
      lost: ['a'],
      untold: ['a'],
    });
  });

  test('a value read on the display counts before every memory', () => {
    const left = [memory({ a: 1, b: 2, c: 0 })];
    expect(settledBy({ done, under, memories, left, taken: [{ code: 'b', value: 9 }] })).toEqual({
      kept: ['a'],
      stands: [],
      lost: ['b'],
      untold: [],
    });
  });
});
