import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { chance, normal } from '../../foundation/statistics/index.ts';

/** How a door is opened: openings an hour in the hours of business, seconds each. */
export interface DoorHabit {
  readonly perHour: number;
  readonly seconds: number;
  /** Business, seconds of the day. */
  readonly opens: number;
  readonly closes: number;
  /** Which days of chance; null: evenly spread, every day the same. */
  readonly seed: number | null;
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
