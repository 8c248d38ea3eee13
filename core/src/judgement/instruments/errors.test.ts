import { describe, expect, test } from '@jest/globals';
import { errorModel } from './errors.ts';

// Closed forms of two readings: with the true temperature free, only their difference says anything.
describe('errors of instruments that read one temperature', () => {
  const model = errorModel([4, 1], [1, 0.5], [0.3, 0.4], []);
  const spread = Math.hypot(1, 0.5, 0.3, 0.4);

  test('the density of two readings is that of their difference', () => {
    const logNormal = -0.5 * (Math.log(2 * Math.PI * spread ** 2) + (3 / spread) ** 2);
    // The same up to a constant that all cases share.
    const other = errorModel([4, 1], [3, 0.5], [0.3, 0.4], []);
    const wide = Math.hypot(3, 0.5, 0.3, 0.4);
    const logWide = -0.5 * (Math.log(2 * Math.PI * wide ** 2) + (3 / wide) ** 2);
    expect(other.logEvidence - model.logEvidence).toBeCloseTo(logWide - logNormal, 9);
  });

  test('each error takes its share of the difference, by its variance (closed form: regression on it)', () => {
    const { mean, spread: left } = model.expects([1, 0], 0.1);
    expect(mean).toBeCloseTo((1 / spread ** 2) * 3, 9);
    expect(left).toBeCloseTo(Math.sqrt(1 - 1 / spread ** 2 + 0.01), 9);
    expect(model.expects([0, 1], 0.1).mean).toBeCloseTo((-0.25 / spread ** 2) * 3, 9);
  });

  test('an error that was measured is known as well as the measurement', () => {
    const known = errorModel([4, 1], [1, 0.5], [0.3, 0.4], [{ weights: [1, 0], found: 2.5, spread: 1e-4 }]);
    expect(known.expects([1, 0], 1e-6).mean).toBeCloseTo(2.5, 3);
    expect(known.expects([1, 0], 1e-6).spread).toBeLessThan(1e-3);
  });

  test('spreads of nothing are refused', () => {
    expect(() => errorModel([4, 1], [0, 0], [0, 0], [])).toThrow(RangeError);
  });
});
