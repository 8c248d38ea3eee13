import { describe, expect, test } from '@jest/globals';
import * as fc from 'fast-check';
import { sensibleMeasure } from './sensible.ts';
import type { Measure } from './test.ts';

const minutes = (least: number | null, most: number | null): Measure => ({
  unit: 'min',
  label: '',
  least,
  most,
});

describe('limits of times', () => {
  test('are read as a person reads a stopwatch', () => {
    expect(sensibleMeasure(minutes(null, 45.52))).toMatchObject({ least: null, most: 46 });
    expect(sensibleMeasure(minutes(2.85, 3.97))).toMatchObject({ least: 2 + 50 / 60, most: 4 });
    expect(sensibleMeasure({ unit: 's', label: '', least: 49.5, most: 96.2 })).toMatchObject({
      least: 49,
      most: 97,
    });
    expect(sensibleMeasure(minutes(0, 2))).toMatchObject({ least: null, most: 2 });
    const volts: Measure = { unit: 'V', label: '', least: 1.234, most: 2.345 };
    expect(sensibleMeasure(volts)).toBe(volts);
  });
  test('never become narrower, by a tenth at most wider, and stay once they are rounded (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (a, d) => {
          const once = sensibleMeasure(minutes(a, a + d));
          expect(once.least ?? 0).toBeLessThanOrEqual(a + 1e-6);
          expect(once.most!).toBeGreaterThanOrEqual(a + d - 1e-6);
          expect(once.most! - (a + d)).toBeLessThanOrEqual(Math.max(0.1 * (a + d), 1 / 60) + 1e-9);
          expect(sensibleMeasure(once)).toEqual(once);
        },
      ),
      { seed: 18, numRuns: 300 },
    );
  });
});
