import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { lowerBound } from './lowerBound.ts';
import { median, middleMean, quantile, spreadOf } from './statistics.ts';
import { straightLine } from './straightLine.ts';

/** Type 7 written a second time from Hyndman and Fan (1996): h = (n − 1)p, linear between the order statistics on both sides. */
function typeSeven(numbers: readonly number[], p: number): number {
  const x = numbers.toSorted((a, b) => a - b);
  const h = (x.length - 1) * p;
  const j = Math.floor(h);
  return x[j]! * (1 - (h - j)) + (x[j + 1] ?? x[j]!) * (h - j);
}

describe('quantiles', () => {
  test('are those of type 7 on 200 seeded lists', () => {
    const random = seeded(7);
    for (let n = 1; n <= 200; n += 1) {
      const list = Array.from({ length: n }, () => random() * 100 - 50);
      const p = random();
      expect(quantile(list, p)).toBeCloseTo(typeSeven(list, p), 9);
      expect(median(list)).toBeCloseTo(typeSeven(list, 0.5), 9);
    }
  });

  test('none of nothing is not a number, and the list stays as it was', () => {
    expect([median([]), quantile([], 0.3)]).toEqual([Number.NaN, Number.NaN]);
    const list = [3, 1, 2];
    median(list);
    expect(list).toEqual([3, 1, 2]);
  });

  test('the middle mean does not hear one outlier', () => {
    expect(middleMean([1, 1, 1, 1, 1, 1, 1, 1000])).toBe(1);
  });

  // Oracle: q84 − q16 of a normal spread are two standard deviations; here of the normal scores of 1..999.
  test('the spread of a uniform list is a third of its width, nearly', () => {
    const list = Array.from({ length: 1001 }, (_, i) => i / 1000);
    expect(spreadOf(list)).toBeCloseTo((0.8413 - 0.1587) / 2, 6);
  });
});

describe('a straight line', () => {
  test('through points on one is that line', () => {
    expect(straightLine([0, 1, 2, 5], [1, 3, 5, 11])).toMatchObject({ slope: 2, intercept: 1 });
  });

  // Oracle: the normal equations, residuals sum to 0 and are square to x.
  test('leaves residuals that sum to nothing and are square to x', () => {
    const random = seeded(3);
    const x = Array.from({ length: 40 }, () => random() * 10);
    const y = x.map((v) => 3 * v - 2 + random());
    const { slope, intercept } = straightLine(x, y);
    const left = x.map((v, i) => y[i]! - (intercept + slope * v));
    expect(left.reduce((a, b) => a + b, 0)).toBeCloseTo(0, 9);
    expect(left.reduce((sum, r, i) => sum + r * x[i]!, 0)).toBeCloseTo(0, 8);
  });

  test('without a spread of x is level through the mean', () => {
    expect(straightLine([2, 2, 2], [1, 2, 3])).toMatchObject({ slope: 0, intercept: 2 });
  });
});

test('the first place that holds a value or more is the one a search from the front finds, on 200 seeded lists', () => {
  const random = seeded(11);
  for (let n = 0; n < 200; n += 1) {
    const sorted = Float64Array.from({ length: n }, () => Math.floor(random() * 40)).sort();
    const value = Math.floor(random() * 44) - 2;
    const first = sorted.findIndex((v) => v >= value);
    expect(lowerBound(sorted, value)).toBe(first === -1 ? n : first);
  }
});
