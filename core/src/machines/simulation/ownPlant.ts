import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { BoxParameters } from '../box/index.ts';

/** How a door is opened by chance: openings an hour in the hours of business, seconds each. */
export interface DoorHabit {
  readonly perHour: number;
  readonly seconds: number;
  /** Business, seconds of the day. */
  readonly opens: number;
  readonly closes: number;
  /** Which day of chance; null: evenly spread, every day the same. */
  readonly seed: number | null;
}

/** A box that is known by its own numbers, in the place of the usual one of its kind: as it was learned from a log. Plain data. */
export interface OwnPlant {
  readonly box: BoxParameters;
  readonly door: DoorHabit;
  /** Air around it: half of what lies between the day's coldest and warmest, K. */
  readonly swing: number;
  /** Days warmer or colder than the mean, K, one after the other and over again; none: every day alike. */
  readonly weather: readonly number[];
  /** Humidity ratio around it, against the usual. */
  readonly humidityFactor: number;
}

/** The air around a box is warmest at three in the afternoon (common practice), s. */
const WARMEST = 15 * 3600;

/** What stands around a box at a second of some day against its mean, K. */
export function ambientCourse({ swing, weather }: OwnPlant, day: number, secondOfDay: number): number {
  const daily = swing * Math.cos((2 * Math.PI * (secondOfDay - WARMEST)) / SECONDS_PER_DAY);
  const { length } = weather;
  if (length === 0) return daily;
  // From noon to noon in a straight line, so that no midnight jumps.
  const at = day + secondOfDay / SECONDS_PER_DAY - 0.5;
  const from = Math.floor(at);
  const of = (d: number) => weather[((d % length) + length) % length]!;
  return daily + of(from) + (of(from + 1) - of(from)) * (at - from);
}

/** A day's door of a habit, as a test for a second of the day. */
export function doorOfHabit(
  { perHour, seconds, opens, closes, seed }: DoorHabit,
  day: number,
): (secondOfDay: number) => boolean {
  if (perHour <= 0 || closes <= opens) return () => false;
  const open = new Uint8Array(SECONDS_PER_DAY);
  const random = seed === null ? null : chance(seed + 7919 * (day + 1));
  const apart = 3600 / perHour;
  let at = opens + (random ? -Math.log(1 - random()) * apart : apart / 2);
  while (at < closes) {
    // By chance they last longer and shorter: e^(0.5·z) about the usual length.
    const length = random ? seconds * Math.exp(0.5 * normal(random) - 0.125) : seconds;
    open.fill(1, Math.round(at), Math.min(SECONDS_PER_DAY, Math.round(at + Math.max(1, length))));
    at += random ? -Math.log(1 - random()) * apart + length : apart;
  }
  return (second) => open[second] === 1;
}

/** A seeded source of numbers from 0 to 1 (mulberry32). */
export function chance(seed: number): () => number {
  let a = seed | 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One number of the normal distribution (Box and Muller 1958). */
export const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
