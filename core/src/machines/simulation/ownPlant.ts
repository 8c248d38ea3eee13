import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { BoxParameters } from '../box/index.ts';

/** A box that is known by its own numbers, in the place of the usual one of its kind: as it was learned from a log. Plain data. */
export interface OwnPlant {
  readonly box: BoxParameters;
  /** The usual box that it was learned against: what a run chooses otherwise changes both alike. */
  readonly usual: BoxParameters;
  /** How many times as often as usual its door is opened, and on which days of chance; null: evenly spread, every day the same. */
  readonly door: { readonly times: number; readonly seed: number | null };
  /** Air around it: half of what lies between the day's coldest and warmest, K. */
  readonly swing: number;
  /** Days warmer or colder than the mean, K, one after the other and over again; none: every day alike. */
  readonly weather: readonly number[];
  /** Humidity ratio around it, against the usual. */
  readonly humidityFactor: number;
}

/** The air around a box is warmest at three in the afternoon (common practice), s. */
const WARMEST = 15 * 3600;

/** What stands around a box against its mean at a second of the day, K: a cosine of this height, warmest in the afternoon. */
export const dailyCourse = (swing: number, secondOfDay: number): number =>
  swing * Math.cos((2 * Math.PI * (secondOfDay - WARMEST)) / SECONDS_PER_DAY);

/** What stands around a box of its own against its mean at a second of some day, K: the day's course, on warm days and cold ones. */
export function ambientCourse({ swing, weather }: OwnPlant, day: number, secondOfDay: number): number {
  const daily = dailyCourse(swing, secondOfDay);
  const { length } = weather;
  if (length === 0) return daily;
  // From noon to noon in a straight line, so that no midnight jumps.
  const at = day + secondOfDay / SECONDS_PER_DAY - 0.5;
  const from = Math.floor(at);
  const of = (d: number) => weather[((d % length) + length) % length]!;
  return daily + of(from) + (of(from + 1) - of(from)) * (at - from);
}
