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
 * rises where it does not (Marquardt 1963; Nocedal and Wright, Numerical Optimization, 10.3). Derivatives by forward differences, between them by Broyden's update (the secant version of Madsen, Nielsen and Tingleff, Methods for Non-Linear Least Squares Problems, 3.5). A prior is residuals like others. Null where
 * it was stopped.
 */
export function leastSquares(
  residuals: Residuals,
  start: Float64Array,
  { steps, lower, upper, rounds = 30, enough = 1e-4, progress = () => true }: LeastSquaresOptions,
): LeastSquares | null {
  const n = start.length;
  let at: Float64Array = start.map((value, i) => Math.min(upper[i]!, Math.max(lower[i]!, value)));
  let r = residuals(at);
  let cost = halfSquares(r);
  let lambda = 1e-2;
  let round = 0;
  /** Derivatives at the present point; null where it was stopped. */
  const derive = (share: (i: number) => number): readonly Float64Array[] | null => {
    const list: Float64Array[] = [];
    for (let i = 0; i < n; i += 1) {
      if (!progress(share(i))) return null;
      list.push(column(residuals, at, r, i, at[i]! + steps[i]! > upper[i]! ? -steps[i]! : steps[i]!));
    }
    return list;
  };
  let columns = derive((i) => i / n / rounds);
  if (!columns) return null;
  let fresh = true;
  while (round < rounds) {
    const gradient = Float64Array.from(columns, (c) => dot(c, r));
    const next: Descended | null = descend(residuals, {
      at,
      cost,
      lambda,
      information: gramOf(columns),
      gradient,
      lower,
      upper,
    });
    round += 1;
    const gain = next ? (cost - next.cost) / Math.max(cost, Number.MIN_VALUE) : 0;
    if (next) {
      columns = secant(columns, at, next.at, r, next.r);
      ({ at, r, cost, lambda } = next);
    }
    const done: boolean = gain < enough && fresh;
    // A secant's derivatives serve as long as they lead down well; else they are taken anew.
    fresh = !done && (next === null || gain <= SERVES);
    if (fresh) columns = derive((i) => (round + i / n) / rounds);
    if (!columns) return null;
    if (done) break;
  }
  if (!fresh) columns = derive((i) => (rounds - 1 + i / n) / rounds);
  if (!columns) return null;
  const information = gramOf(columns);
  const l = cholesky(information, n);
  return { at, cost, residuals: r, information, covariance: l && inverseOf(l, n), rounds: round };
}

/** A round that lowers the sum by less than this share asks for new derivatives. */
const SERVES = 0.05;

function column(
  residuals: Residuals,
  at: Float64Array,
  r: Float64Array,
  i: number,
  step: number,
): Float64Array {
  const moved = Float64Array.from(at);
  moved[i]! += step;
  return residuals(moved).map((value, k) => (value - r[k]!) / step);
}

/** Broyden's update: derivatives that say of the step just made what it did, and of every direction across it what they said before. */
function secant(
  columns: readonly Float64Array[],
  from: Float64Array,
  to: Float64Array,
  before: Float64Array,
  after: Float64Array,
): readonly Float64Array[] {
  const step = to.map((x, i) => x - from[i]!);
  const square = dot(step, step);
  if (!(square > 0)) return columns;
  const missed = after.map((x, k) => {
    let said = 0;
    for (let i = 0; i < step.length; i += 1) said += columns[i]![k]! * step[i]!;
    return (x - before[k]! - said) / square;
  });
  return columns.map((c, i) => c.map((x, k) => x + missed[k]! * step[i]!));
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

interface Descended {
  readonly at: Float64Array;
  readonly r: Float64Array;
  readonly cost: number;
  readonly lambda: number;
}

/** The first damped step that lowers the sum; null where none does. */
function descend(residuals: Residuals, standing: Standing): Descended | null {
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
