import { cholesky, inverseOf, solveCholesky } from './cholesky.ts';

/** What is fitted: residuals in their own standard errors, as many at every point. NaN counts nowhere. */
export type Residuals = (at: Float64Array) => Float64Array;

export interface LeastSquaresOptions {
  /** Step by which each number is moved for its derivative. */
  readonly steps: Float64Array;
  /** Least and greatest of each number. */
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  readonly rounds?: number;
  /** Ends once a round lowers the sum of squares by less than this share. */
  readonly enough?: number;
  /** Told the share done; false stops it. */
  readonly progress?: (share: number) => boolean;
}

export interface LeastSquares {
  readonly at: Float64Array;
  /** Half the sum of squares. */
  readonly cost: number;
  readonly residuals: Float64Array;
  /** JᵀJ at the end, n × n: the information on the numbers. */
  readonly information: Float64Array;
  /** Its inverse; null where the data leave a direction open. */
  readonly covariance: Float64Array | null;
  readonly rounds: number;
}

/**
 * Bounded non-linear least squares by Levenberg and Marquardt: a step solves (JᵀJ + λ·diag(JᵀJ))·δ = −Jᵀr and is kept within the bounds; λ falls where the step lowers the sum and
 * rises where it does not (Marquardt 1963; Nocedal and Wright, Numerical Optimization, 10.3). Derivatives by forward differences. A prior is residuals like others. Null where
 * it was stopped.
 */
export function leastSquares(
  residuals: Residuals,
  start: Float64Array,
  { steps, lower, upper, rounds = 30, enough = 1e-4, progress = () => true }: LeastSquaresOptions,
): LeastSquares | null {
  const n = start.length;
  let at = start.map((value, i) => Math.min(upper[i]!, Math.max(lower[i]!, value)));
  let r = residuals(at);
  let cost = halfSquares(r);
  let information: Float64Array = new Float64Array(n * n);
  let lambda = 1e-2;
  let round = 0;
  for (; round < rounds; round += 1) {
    const columns: Float64Array[] = [];
    for (let i = 0; i < n; i += 1) {
      if (!progress((round + i / n) / rounds)) return null;
      const step = at[i]! + steps[i]! > upper[i]! ? -steps[i]! : steps[i]!;
      const moved = Float64Array.from(at);
      moved[i]! += step;
      columns.push(residuals(moved).map((value, k) => (value - r[k]!) / step));
    }
    information = gramOf(columns);
    const gradient = Float64Array.from(columns, (column) => dot(column, r));
    const next = descend(residuals, { at, cost, lambda, information, gradient, lower, upper });
    if (!next) break;
    const gain = (cost - next.cost) / Math.max(cost, Number.MIN_VALUE);
    ({ at, r, cost, lambda } = next);
    if (gain < enough) {
      round += 1;
      break;
    }
  }
  const l = cholesky(information, n);
  return { at, cost, residuals: r, information, covariance: l && inverseOf(l, n), rounds: round };
}

interface Standing {
  readonly at: Float64Array;
  readonly cost: number;
  readonly lambda: number;
  readonly information: Float64Array;
  readonly gradient: Float64Array;
  readonly lower: Float64Array;
  readonly upper: Float64Array;
}

const MOST_TRIES = 8;

/** The first damped step that lowers the sum; null where none does. */
function descend(residuals: Residuals, standing: Standing) {
  const { at, cost, information, gradient, lower, upper } = standing;
  const n = at.length;
  let { lambda } = standing;
  for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
    const damped = Float64Array.from(information);
    for (let i = 0; i < n; i += 1) damped[i * n + i]! += lambda * Math.max(damped[i * n + i]!, 1e-12);
    const l = cholesky(damped, n);
    if (l) {
      const delta = solveCholesky(l, gradient, n);
      const to = at.map((value, i) => Math.min(upper[i]!, Math.max(lower[i]!, value - delta[i]!)));
      const r = residuals(to);
      const next = halfSquares(r);
      if (next < cost) return { at: to, r, cost: next, lambda: Math.max(lambda / 5, 1e-9) };
    }
    lambda *= 6;
  }
  return null;
}

const halfSquares = (r: Float64Array): number => r.reduce((sum, x) => (x === x ? sum + x * x : sum), 0) / 2;

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) {
    const product = a[i]! * b[i]!;
    if (product === product) sum += product;
  }
  return sum;
}

function gramOf(columns: readonly Float64Array[]): Float64Array {
  const n = columns.length;
  const gram = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j <= i; j += 1) gram[i * n + j] = gram[j * n + i] = dot(columns[i]!, columns[j]!);
  return gram;
}
