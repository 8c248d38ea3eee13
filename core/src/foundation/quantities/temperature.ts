import type { TemperatureUnit } from './units.ts';
import type { TemperatureDifference } from './difference.ts';

declare const kind: unique symbol;

/** A temperature, held in °C. Not assignable from a difference: 2 °F of difference is 1.1 K, not −16.7 °C. */
export type Temperature = number & { readonly [kind]: 'temperature' };

/**
 * A temperature from a number in a unit. °F → °C by (t − 32)·5/9, exact by definition of the scale.
 * `temperature(-9.4, 'degF')` is −23.0 °C.
 */
export function temperature(value: number, unit: TemperatureUnit): Temperature {
  return (unit === 'degC' ? value : ((value - 32) * 5) / 9) as Temperature;
}

/** The number that stands for a temperature in a unit. No rounding: that belongs to whoever shows it. */
export function temperatureIn(t: Temperature, unit: TemperatureUnit): number {
  return unit === 'degC' ? t : (t * 9) / 5 + 32;
}

/** How much warmer `a` is than `b`. */
export function above(a: Temperature, b: Temperature): TemperatureDifference {
  return (a - b) as TemperatureDifference;
}
