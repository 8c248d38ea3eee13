import type { DifferenceUnit } from './units.ts';

declare const kind: unique symbol;

/** A temperature difference, held in K. */
export type TemperatureDifference = number & { readonly [kind]: 'temperatureDifference' };

/**
 * A difference from a number in a unit: `deltaF` × 5/9, never less 32.
 * `difference(2, 'deltaF')` is 1.111 K.
 */
export function difference(value: number, unit: DifferenceUnit): TemperatureDifference {
  return (unit === 'K' ? value : (value * 5) / 9) as TemperatureDifference;
}

/** The number that stands for a difference in a unit. */
export function differenceIn(d: TemperatureDifference, unit: DifferenceUnit): number {
  return unit === 'K' ? d : (d * 9) / 5;
}
