/** A level that jumped: from here on a series stands elsewhere. */
export interface Jump {
  /** The first point of the new level. */
  readonly index: number;
  readonly before: number;
  readonly after: number;
}

const LEAST_POINTS = 4;
/** A jump must be this many standard errors, and explain the series this much better than a slope does. */
const ERRORS = 6;
const BETTER = 0.7;

/**
 * The places where a series of numbers jumps to another level by at least `least`: the best split by least squares, then both halves again. A series that
 * creeps is no jump: a straight line must explain it clearly worse.
 */
export function jumpsIn(values: readonly number[], least: number, from = 0): readonly Jump[] {
  const n = values.length;
  if (n < 2 * LEAST_POINTS) return [];
  const sums = prefix(values, (v) => v);
  const squares = prefix(values, (v) => v * v);
  const scatter = (a: number, b: number) => squares[b]! - squares[a]! - (sums[b]! - sums[a]!) ** 2 / (b - a);
  let best = { at: -1, cost: Infinity };
  for (let i = LEAST_POINTS; i <= n - LEAST_POINTS; i += 1) {
    const cost = scatter(0, i) + scatter(i, n);
    if (cost < best.cost) best = { at: i, cost };
  }
  const { at, cost } = best;
  const before = sums[at]! / at;
  const after = (sums[n]! - sums[at]!) / (n - at);
  const error = Math.sqrt((cost / Math.max(1, n - 2)) * (1 / at + 1 / (n - at)));
  const sure = Math.abs(after - before) >= least && Math.abs(after - before) >= ERRORS * error;
  if (!sure || cost > BETTER * slopeCost(values)) return [];
  return [
    ...jumpsIn(values.slice(0, at), least, from),
    { index: from + at, before, after },
    ...jumpsIn(values.slice(at), least, from + at),
  ];
}

function prefix(values: readonly number[], of: (v: number) => number): Float64Array {
  const sums = new Float64Array(values.length + 1);
  values.forEach((v, i) => (sums[i + 1] = sums[i]! + of(v)));
  return sums;
}

/** What a straight line through the series leaves over. */
function slopeCost(values: readonly number[]): number {
  const n = values.length;
  const mx = (n - 1) / 2;
  const my = values.reduce((sum, v) => sum + v, 0) / n;
  let [sxx, sxy, syy] = [0, 0, 0];
  values.forEach((v, i) => {
    sxx += (i - mx) ** 2;
    sxy += (i - mx) * (v - my);
    syy += (v - my) ** 2;
  });
  return syy - sxy ** 2 / sxx;
}
