import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { cholesky, inverseOf, solveCholesky } from './cholesky.ts';
import { leastSquares } from './leastSquares.ts';

const wide = (n: number) => ({
  lower: new Float64Array(n).fill(-1e9),
  upper: new Float64Array(n).fill(1e9),
});

describe('least squares', () => {
  test('finds the certified values and standard errors of Misra1a', () => {
    // NIST Statistical Reference Datasets, non-linear regression, Misra1a (dental research, lower difficulty); data and certified values from memory.
    const y = [
      10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78,
    ];
    const x = [77.6, 114.9, 141.1, 190.8, 239.9, 289, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760];
    const fit = leastSquares(
      ([b1, b2]) => Float64Array.from(x, (at, i) => b1! * (1 - Math.exp(-b2! * at)) - y[i]!),
      // The certified problem's second starting point.
      Float64Array.of(250, 5e-4),
      { ...wide(2), steps: Float64Array.of(1e-4, 1e-10), rounds: 100, enough: 1e-14 },
    )!;
    expect(fit.at[0]).toBeCloseTo(238.94212918, 3);
    expect(fit.at[1]! * 1e4).toBeCloseTo(5.5015643181, 5);
    expect(2 * fit.cost).toBeCloseTo(0.12455138894, 8);
    // Certified standard deviations: σ² = RSS / (14 − 2).
    const sigma2 = (2 * fit.cost) / 12;
    expect(Math.sqrt(sigma2 * fit.covariance![0]!)).toBeCloseTo(2.7070075241, 2);
    expect(Math.sqrt(sigma2 * fit.covariance![3]!) * 1e6).toBeCloseTo(7.2668688436, 1);
  });

  test('goes down the valley of Rosenbrock to its lowest point', () => {
    // Rosenbrock 1960: least at (1, 1), where it is zero.
    const fit = leastSquares(
      ([a, b]) => Float64Array.of(10 * (b! - a! * a!), 1 - a!),
      Float64Array.of(-1.2, 1),
      { ...wide(2), steps: Float64Array.of(1e-7, 1e-7), rounds: 200, enough: 0 },
    )!;
    expect([...fit.at]).toEqual([expect.closeTo(1, 5), expect.closeTo(1, 5)]);
  });

  test('of a straight line it is the closed form, in one round', () => {
    const random = seeded(3);
    const x = Array.from({ length: 30 }, (_, i) => i / 10);
    const y = x.map((at) => 2 - 3 * at + random() - 0.5);
    const fit = leastSquares(
      ([a, b]) => Float64Array.from(x, (at, i) => a! + b! * at - y[i]!),
      Float64Array.of(0, 0),
      { ...wide(2), steps: Float64Array.of(1e-3, 1e-3), enough: 1e-12 },
    )!;
    const mean = (list: readonly number[]) => list.reduce((sum, n) => sum + n, 0) / list.length;
    const [mx, my] = [mean(x), mean(y)];
    const slope =
      x.reduce((sum, at, i) => sum + (at - mx) * (y[i]! - my), 0) /
      x.reduce((sum, at) => sum + (at - mx) ** 2, 0);
    expect(fit.at[1]).toBeCloseTo(slope, 6);
    expect(fit.at[0]).toBeCloseTo(my - slope * mx, 6);
  });

  test('stays within its bounds, and what counts nowhere (NaN) pulls nowhere', () => {
    const fit = leastSquares(([a]) => Float64Array.of(a! - 5, Number.NaN), Float64Array.of(0), {
      lower: Float64Array.of(-1),
      upper: Float64Array.of(2),
      steps: Float64Array.of(1e-3),
    })!;
    expect(fit.at[0]).toBe(2);
  });

  test('can be stopped', () => {
    const stopped = leastSquares(([a]) => Float64Array.of(a! - 5), Float64Array.of(0), {
      ...wide(1),
      steps: Float64Array.of(1e-3),
      progress: () => false,
    });
    expect(stopped).toBeNull();
  });
});

describe('Cholesky', () => {
  test('of random positive definite matrices: L·Lᵀ is the matrix, the inverse times it is one', () => {
    const random = seeded(8);
    for (const n of [1, 2, 5, 17]) {
      const b = Array.from({ length: n * n }, () => random() - 0.5);
      const a = new Float64Array(n * n);
      for (let i = 0; i < n; i += 1)
        for (let j = 0; j < n; j += 1) {
          a[i * n + j] = i === j ? 0.1 : 0;
          for (let k = 0; k < n; k += 1) a[i * n + j]! += b[i * n + k]! * b[j * n + k]!;
        }
      const l = cholesky(a, n)!;
      const inverse = inverseOf(l, n);
      const x = solveCholesky(l, a.slice(0, n), n);
      for (let i = 0; i < n; i += 1) {
        expect(x[i]).toBeCloseTo(i === 0 ? 1 : 0, 9);
        for (let j = 0; j < n; j += 1) {
          let [product, one] = [0, 0];
          for (let k = 0; k < n; k += 1) {
            product += l[i * n + k]! * l[j * n + k]!;
            one += inverse[i * n + k]! * a[k * n + j]!;
          }
          expect(product).toBeCloseTo(a[i * n + j]!, 12);
          expect(one).toBeCloseTo(i === j ? 1 : 0, 8);
        }
      }
    }
  });

  test('of a matrix that is not positive definite there is none', () => {
    expect(cholesky(Float64Array.of(1, 2, 2, 1), 2)).toBeNull();
  });
});
