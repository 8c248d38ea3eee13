import { straightLine } from '../../foundation/statistics/index.ts';
import type { Stretch } from './stretches.ts';

/** What the air was when the compressor started or stopped. */
export interface SwitchPoint {
  readonly start: boolean;
  /** Seconds: half way between the rows it lies between. */
  readonly at: number;
  readonly index: number;
  readonly celsius: number;
  /** How fast the air moved towards it, K/s. */
  readonly slope: number;
}

/** Rows of the ramp that a line is laid through. */
const ROWS = 5;

/**
 * Air temperature at each start and stop, read from a line through the last rows before it, half way to the row after: where rows are far apart it lies
 * anywhere between, so that the mean over many is right. Only changes between two whole neighbours count.
 */
export function switchPoints(
  stretches: readonly Stretch[],
  air: Float64Array,
  time: Float64Array,
): readonly SwitchPoint[] {
  return stretches.slice(1).flatMap((stretch, i): SwitchPoint[] => {
    const before = stretches[i]!;
    if (before.end !== stretch.first || before.on === stretch.on || before.to !== stretch.from) return [];
    const k = stretch.first;
    const at = (time[k - 1]! + time[k]!) / 2;
    const ramp = rampBefore(air, time, before.first, k, stretch.on);
    const between = (air[k - 1]! + air[k]!) / 2;
    const celsius = ramp ? ramp.intercept + ramp.slope * (at - time[k]!) : between;
    return celsius === celsius ? [{ start: stretch.on, at, index: k, celsius, slope: ramp?.slope ?? 0 }] : [];
  });
}

/** A line through the last rows before row k, from the far turn of the ramp on; null where fewer than two are left. */
function rampBefore(air: Float64Array, time: Float64Array, first: number, k: number, towardsStart: boolean) {
  let from = k - 1;
  // Back to the valley before a start, to the peak before a stop, or as far as the line needs.
  const sign = towardsStart ? 1 : -1;
  let turn = k - 1;
  while (from > first && k - from < ROWS) {
    from -= 1;
    if (sign * air[from]! < sign * air[turn]!) turn = from;
  }
  if (k - turn < 2) return null;
  const [x, y]: [number[], number[]] = [[], []];
  for (let i = turn; i < k; i += 1)
    if (air[i] === air[i]) {
      x.push(time[i]! - time[k]!);
      y.push(air[i]!);
    }
  return x.length >= 2 ? straightLine(x, y) : null;
}
