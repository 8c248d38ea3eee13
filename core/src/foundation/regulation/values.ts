import {
  baseValue,
  isQuantity,
  quantity,
  valueIn,
  type Quantity,
  type TemperatureUnit,
} from '../quantities/index.ts';
import type { SettingId, SettingValues } from '../settings/index.ts';

/** °C of a temperature value, or null. */
export function celsiusOf(value: unknown): number | null {
  return isTemperature(value) ? baseValue(value) : null;
}

/** Seconds of a duration value; an absent one is 0, the quiet choice. */
export function secondsOf(values: SettingValues, id: SettingId): number {
  const value = values[id];
  return isQuantity(value) && ['s', 'min', 'h'].includes(value.unit) ? baseValue(value) : 0;
}

/** A temperature in °C as a quantity in the unit the technician typed, for sentences. */
export function written(celsius: number, unit: TemperatureUnit): Quantity {
  return quantity(Math.round(valueIn(quantity(celsius, 'degC'), unit) * 10) / 10, unit);
}

/** Kelvins as a difference in the unit that goes with these degrees, in tenths, for sentences. */
export function writtenDifference(kelvins: number, unit: TemperatureUnit): Quantity {
  const own = unit === 'degF' ? 'deltaF' : 'K';
  return quantity(Math.round(valueIn(quantity(kelvins, 'K'), own) * 10) / 10, own);
}

/** True for a temperature. */
export function isTemperature(value: unknown): value is Quantity {
  return isQuantity(value) && (value.unit === 'degC' || value.unit === 'degF');
}

/** True for a difference of temperatures. */
export function isDifference(value: unknown): value is Quantity {
  return isQuantity(value) && (value.unit === 'K' || value.unit === 'deltaF');
}
