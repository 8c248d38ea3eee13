import type { DurationUnit } from './units.ts';

declare const kind: unique symbol;

/** A duration, held in seconds. */
export type Duration = number & { readonly [kind]: 'duration' };

const secondsPer: Readonly<Record<DurationUnit, number>> = { s: 1, min: 60, h: 3600 };

/** A duration from a number in a unit. `duration(20, 'min')` is 1200 s. */
export function duration(value: number, unit: DurationUnit): Duration {
  return (value * secondsPer[unit]) as Duration;
}

/** The number that stands for a duration in a unit. */
export function durationIn(d: Duration, unit: DurationUnit): number {
  return d / secondsPer[unit];
}
