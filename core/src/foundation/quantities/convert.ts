import { difference, differenceIn } from './difference.ts';
import { duration, durationIn } from './duration.ts';
import { quantity, type Quantity } from './quantity.ts';
import { temperature, temperatureIn } from './temperature.ts';
import {
  dimensionOf,
  type DifferenceUnit,
  type Dimension,
  type DurationUnit,
  type TemperatureUnit,
  type Unit,
} from './units.ts';

/** The unit in which a dimension is computed with inside. */
export const baseUnit: Readonly<Record<Dimension, Unit>> = {
  temperature: 'degC',
  temperatureDifference: 'K',
  duration: 's',
  volts: 'V',
  amps: 'A',
  ohms: 'ohm',
  watts: 'W',
  percent: '%',
};

/**
 * The number a quantity has in another unit of its dimension, unrounded.
 * Throws a RangeError where the dimensions differ: the caller must have asked {@link fits} first.
 */
export function valueIn(q: Quantity, unit: Unit): number {
  const from = dimensionOf(q.unit);
  if (from !== dimensionOf(unit)) throw new RangeError(`${q.unit} cannot be written in ${unit}`);
  if (q.unit === unit) return q.value;
  if (from === 'temperature')
    return temperatureIn(temperature(q.value, q.unit as TemperatureUnit), unit as TemperatureUnit);
  if (from === 'temperatureDifference')
    return differenceIn(difference(q.value, q.unit as DifferenceUnit), unit as DifferenceUnit);
  return durationIn(duration(q.value, q.unit as DurationUnit), unit as DurationUnit);
}

/** A quantity written in another unit of its dimension, unrounded. */
export function convert(q: Quantity, unit: Unit): Quantity {
  return q.unit === unit ? q : quantity(valueIn(q, unit), unit);
}

/** The number in the base unit of the quantity's dimension: °C, K, s, V, A, Ω, W, %. */
export function baseValue(q: Quantity): number {
  return valueIn(q, baseUnit[dimensionOf(q.unit)]);
}

/** True when a quantity can be written in that unit. */
export function fits(q: Quantity, unit: Unit): boolean {
  return dimensionOf(q.unit) === dimensionOf(unit);
}

/** True when two quantities are the same size within 1e-6 of the base unit (the comparison width of a control). */
export function sameQuantity(a: Quantity, b: Quantity): boolean {
  return dimensionOf(a.unit) === dimensionOf(b.unit) && Math.abs(baseValue(a) - baseValue(b)) <= 1e-6;
}
