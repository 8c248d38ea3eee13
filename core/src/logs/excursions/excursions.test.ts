import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { excursionsOf, type ExcursionLimits } from './index.ts';

const MINUTE = 60;
const limits: ExcursionLimits = { high: 5, low: 0, least: 0 };
/** Readings every five minutes. */
const everyFive = (values: readonly number[]) => values.map((value, i) => [i * 5 * MINUTE, value] as const);

describe('excursions', () => {
  // Oracle: counted by hand.
  test('run from the first reading outside to the last, with the furthest; one on the limit is inside', () => {
    expect(excursionsOf(everyFive([4, 5, 6, 8, 7, 5, 3, -1, -2, 1]), limits)).toEqual([
      { side: 'high', from: 600, to: 1200, peak: 8 },
      { side: 'low', from: 2100, to: 2400, peak: -2 },
    ]);
  });
  test('shorter than the alarm waits are not told; exactly as long is', () => {
    const readings = everyFive([6, 6, 6, 4, 6, 6, 6, 6, 4]);
    expect(excursionsOf(readings, { ...limits, least: 15 * MINUTE })).toEqual([
      { side: 'high', from: 1200, to: 2100, peak: 6 },
    ]);
  });
  test('a missing reading says nothing, hours without one end it', () => {
    expect(excursionsOf(everyFive([6, NaN, 7, 4]), limits)).toEqual([
      { side: 'high', from: 0, to: 600, peak: 7 },
    ]);
    const apart = [
      [0, 6],
      [300, 6],
      [300 + 7201, 6],
    ] as const;
    expect(excursionsOf(apart, limits).map(({ from, to }) => [from, to])).toEqual([
      [0, 300],
      [7501, 7501],
    ]);
  });
  test('without limits there are none', () => {
    expect(excursionsOf(everyFive([90, -90]), { high: null, low: null, least: 0 })).toEqual([]);
  });

  // Oracle: a second way to count: each reading by itself.
  test('hold every reading outside and none inside, apart and in order', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -3, max: 9, noNaN: true }), { maxLength: 200 }), (values) => {
        const readings = everyFive(values);
        const found = excursionsOf(readings, limits);
        const within = (time: number) => found.filter((e) => time >= e.from && time <= e.to);
        for (const [time, value] of readings) {
          const side = value > 5 ? 'high' : value < 0 ? 'low' : null;
          expect(within(time).map((e) => e.side)).toEqual(side === null ? [] : [side]);
        }
        expect(found.every((e, i) => i === 0 || e.from > found[i - 1]!.to)).toBe(true);
      }),
      { seed: 19, numRuns: 100 },
    );
  });
});
