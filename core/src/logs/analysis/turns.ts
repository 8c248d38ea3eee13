import type { Grid } from './grid.ts';
import { quantile, spreadOf, straightLine } from '../../foundation/statistics/index.ts';

/** A place where a temperature turns from rising to falling (peak) or back (valley). */
export interface Turn {
  readonly peak: boolean;
  readonly index: number;
  /** Seconds and °C where the straight pieces before and after it meet: finer than the rows. */
  readonly at: number;
  readonly celsius: number;
}

/** Noise of the readings, K: a thermostat's saw is nearly straight from row to row, so that second differences are noise (factor √6). */
export function noiseOf(air: Float64Array): number {
  const seconds: number[] = [];
  const stride = Math.max(1, Math.floor(air.length / 20000));
  for (let i = 2; i < air.length; i += stride) {
    const d = air[i]! - 2 * air[i - 1]! + air[i - 2]!;
    if (d === d) seconds.push(d);
  }
  return spreadOf(seconds) / Math.sqrt(6);
}

/** A swing counts from this share of the middle 60 % on, and from so many noises. */
const SHARE = 0.5;
const NOISES = 4;
const RAMP_ROWS = 8;

/**
 * Turns of a temperature, peaks and valleys in turn. Small wiggles do not count; a gap ends the search and begins it anew. Each turn is placed where
 * lines through the ramps beside it meet, no further beyond the highest row than a step of the ramp reaches.
 */
export function turnsOf(air: Float64Array, time: Float64Array, grid: Grid): readonly Turn[] {
  const sample = thinned(air);
  const least = Math.max(
    SHARE * (quantile(sample, 0.8) - quantile(sample, 0.2)),
    NOISES * noiseOf(air),
    0.15,
  );
  const turns: { peak: boolean; index: number }[][] = [[]];
  let low = 0;
  let high = 0;
  let rising: boolean | null = null;
  for (let i = 0; i < air.length; i += 1) {
    const t = air[i]!;
    if (i === 0 || grid.gapBefore.has(i)) {
      turns.push([]);
      [low, high, rising] = [i, i, null];
    }
    if (t !== t) continue;
    if (!(t >= air[low]!)) low = i;
    if (!(t <= air[high]!)) high = i;
    if (rising !== false && air[high]! - t >= least) {
      if (rising === true) turns.at(-1)!.push({ peak: true, index: high });
      [rising, low] = [false, i];
    } else if (rising !== true && t - air[low]! >= least) {
      if (rising === false) turns.at(-1)!.push({ peak: false, index: low });
      [rising, high] = [true, i];
    }
    if (rising === true) low = i;
    if (rising === false) high = i;
  }
  return turns.flatMap((list) =>
    list.map((turn, i) => placed(turn, list[i - 1]?.index, list[i + 1]?.index, air, time)),
  );
}

function placed(
  turn: { peak: boolean; index: number },
  before: number | undefined,
  after: number | undefined,
  air: Float64Array,
  time: Float64Array,
): Turn {
  const { index, peak } = turn;
  const plain = { peak, index, at: time[index]!, celsius: air[index]! };
  if (before === undefined || after === undefined) return plain;
  const left = ramp(
    Math.max(before, index - Math.min(RAMP_ROWS, Math.ceil((index - before) / 2))),
    index - 1,
    air,
    time,
    time[index]!,
  );
  const right = ramp(
    index + 1,
    Math.min(after, index + Math.min(RAMP_ROWS, Math.ceil((after - index) / 2))),
    air,
    time,
    time[index]!,
  );
  if (!left || !right || left.slope === right.slope) return plain;
  const at = (right.intercept - left.intercept) / (left.slope - right.slope);
  const step = Math.max(time[index + 1]! - time[index]!, time[index]! - time[index - 1]!);
  if (Math.abs(at) > step) return plain;
  const meets = left.intercept + left.slope * at;
  // Beyond the row there is at most what the flatter ramp climbs in one step.
  const reach = Math.min(Math.abs(left.slope), Math.abs(right.slope)) * step;
  const celsius = peak ? Math.min(meets, air[index]! + reach) : Math.max(meets, air[index]! - reach);
  return { peak, index, at: time[index]! + at, celsius };
}

function ramp(from: number, to: number, air: Float64Array, time: Float64Array, zero: number) {
  const [x, y]: [number[], number[]] = [[], []];
  for (let i = from; i <= to; i += 1)
    if (air[i] === air[i]) {
      x.push(time[i]! - zero);
      y.push(air[i]!);
    }
  return x.length >= 2 ? straightLine(x, y) : null;
}

function thinned(air: Float64Array): Float64Array {
  const stride = Math.max(1, Math.floor(air.length / 20000));
  return air.filter((t, i) => i % stride === 0 && t === t);
}
