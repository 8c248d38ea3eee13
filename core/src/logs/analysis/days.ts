import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { median, straightLine } from '../../foundation/statistics/index.ts';

/** How a figure moves over days. */
export interface Drift {
  readonly perDay: number;
  readonly days: number;
  /** Standard error of `perDay`; a drift below twice it is nothing. */
  readonly error: number;
}

const LEAST_DAYS = 3;

/** Drift of the middle of each day (its median), per day; null with less than three whole days. */
export function driftOf(values: Float64Array, time: Float64Array): Drift | null {
  const start = time[0]!;
  const byDay: number[][] = [];
  const perDay = values.length / Math.max(1, (time.at(-1)! - start) / SECONDS_PER_DAY);
  // Some hundred readings a day give its middle well enough.
  const stride = Math.max(1, Math.floor(perDay / 300));
  for (let i = 0; i < values.length; i += stride) {
    if (values[i] !== values[i]) continue;
    const day = Math.floor((time[i]! - start) / SECONDS_PER_DAY);
    (byDay[day] ??= []).push(values[i]!);
  }
  const whole = Math.floor((time.at(-1)! - start) / SECONDS_PER_DAY);
  const points = byDay
    .slice(0, whole)
    .flatMap((list, day) => (list.length > 0 ? [[day, median(list)] as const] : []));
  if (points.length < LEAST_DAYS) return null;
  const [x, y] = [points.map(([d]) => d), points.map(([, m]) => m)];
  const line = straightLine(x, y);
  const left = y.reduce((sum, v, i) => sum + (v - line.intercept - line.slope * x[i]!) ** 2, 0);
  const mx = x.reduce((sum, v) => sum + v, 0) / x.length;
  const sxx = x.reduce((sum, v) => sum + (v - mx) ** 2, 0);
  return {
    perDay: line.slope,
    days: points.length,
    error: Math.sqrt(left / Math.max(1, points.length - 2) / sxx),
  };
}

/** Minutes that readings lie strictly beyond a limit: each counts until the next, gaps not. */
export function minutesBeyond(
  values: Float64Array,
  time: Float64Array,
  step: number,
  isBeyond: (celsius: number) => boolean,
): number {
  let seconds = 0;
  for (let i = 0; i < values.length; i += 1) {
    if (!isBeyond(values[i]!)) continue;
    const next = i + 1 < values.length ? time[i + 1]! - time[i]! : step;
    seconds += next > 2.5 * step ? step : next;
  }
  return seconds / 60;
}

/** Mean of a column, missing readings left out; NaN of none. */
export function meanOf(values: Float64Array): number {
  let [sum, count] = [0, 0];
  for (let i = 0; i < values.length; i += 1)
    if (values[i] === values[i]) {
      sum += values[i]!;
      count += 1;
    }
  return count === 0 ? Number.NaN : sum / count;
}
