import { cholesky, solveCholesky } from '../../foundation/statistics/index.ts';

/** A sum of errors that a check measures: weights of each instrument's error, what was found, K, and how sure that is (standard deviation, K). */
export interface Measured {
  readonly weights: readonly number[];
  readonly found: number;
  readonly spread: number;
}

/** What the readings say of the errors of instruments, whose spreads are given. */
export interface ErrorModel {
  /** Logarithm of the density of all that was read and measured, the true temperature free. */
  readonly logEvidence: number;
  /** What a further check is to find: mean and standard deviation. */
  readonly expects: (
    weights: readonly number[],
    spread: number,
  ) => { readonly mean: number; readonly spread: number };
}

/**
 * Readings of one temperature nobody knows, by instruments with errors: x_i = T + e_i + u_i, e_i and u_i normal. T has no prior; it is taken out of the density in closed form (Rasmussen and Williams 2006, section
 * 2.7, with a vague mean). Measured sums of errors are further rows that T is not in.
 *
 * @param x readings brought to one place and one moment, °C
 * @param errors standard deviation of each instrument's error, K
 * @param places standard deviation of what place and moment leave open, K
 */
export function errorModel(
  x: readonly number[],
  errors: readonly number[],
  places: readonly number[],
  measured: readonly Measured[],
): ErrorModel {
  const rows: (readonly number[])[] = [
    ...x.map((_, i) => x.map((__, j) => Number(i === j))),
    ...measured.map(({ weights }) => weights),
  ];
  const noise = [...places, ...measured.map(({ spread }) => spread)];
  const z = [...x, ...measured.map(({ found }) => found)];
  const ones = z.map((_, i) => Number(i < x.length));
  const n = z.length;
  const between = (a: readonly number[], b: readonly number[]) =>
    a.reduce((sum, weight, k) => sum + weight * b[k]! * errors[k]! ** 2, 0);
  const covariance = Float64Array.from({ length: n * n }, (_, at) => {
    const [i, j] = [Math.floor(at / n), at % n];
    return between(rows[i]!, rows[j]!) + (i === j ? noise[i]! ** 2 : 0);
  });
  const lower = cholesky(covariance, n);
  if (!lower) throw new RangeError('Spreads of errors and places must be greater than 0');
  const solved = (b: readonly number[]) => [...solveCholesky(lower, Float64Array.from(b), n)];
  const dot = (a: readonly number[], b: readonly number[]) =>
    a.reduce((sum, value, i) => sum + value * b[i]!, 0);
  const solvedOnes = solved(ones);
  const weight = dot(ones, solvedOnes);
  /** The inverse of the covariance with the free temperature taken out, times a vector. */
  const without = (b: readonly number[]) => {
    const part = dot(solvedOnes, b) / weight;
    return solved(b).map((value, i) => value - part * solvedOnes[i]!);
  };
  const residual = without(z);
  let logDeterminant = 0;
  for (let i = 0; i < n; i += 1) logDeterminant += 2 * Math.log(lower[i * n + i]!);
  return {
    logEvidence: -0.5 * (logDeterminant + Math.log(weight) + dot(z, residual)),
    expects(weights, spread) {
      const shared = rows.map((row) => between(row, weights));
      const variance = between(weights, weights) - dot(shared, without(shared)) + spread ** 2;
      return { mean: dot(shared, residual), spread: Math.sqrt(Math.max(variance, 1e-9)) };
    },
  };
}
