import { valueIn } from './convert.ts';
import type { Quantity } from './quantity.ts';
import { clean, roundTo } from './round.ts';
import { dimensionOf, type TemperatureUnit, type Unit } from './units.ts';

const symbols: Readonly<Record<Unit, string>> = {
  degC: '°C',
  degF: '°F',
  K: 'K',
  deltaF: 'dF',
  s: 's',
  min: 'min',
  h: 'h',
  V: 'V',
  A: 'A',
  ohm: 'Ω',
  W: 'W',
  '%': '%',
};

/** The sign a person reads for a unit; a Fahrenheit difference is `dF`, never `°F`. */
export function unitSymbol(unit: Unit): string {
  return symbols[unit];
}

/** A number with at most `decimals` places, a true minus, no trailing zeros, no −0. */
export function printNumber(value: number, decimals = 1): string {
  return String(clean(roundTo(value, 10 ** -decimals), decimals)).replace('-', '−');
}

/** A number with exactly `decimals` places, halves away from zero. */
export function printFixed(value: number, decimals: number): string {
  return roundTo(value, 10 ** -decimals)
    .toFixed(decimals)
    .replace('-', '−');
}

/** A quantity as it was typed: `37 °F`, `5 dF`, `20 min`. */
export function printQuantity(q: Quantity, decimals = 2): string {
  return `${printNumber(q.value, decimals)} ${symbols[q.unit]}`;
}

/** The unit in which a quantity is shown to somebody who reads temperatures in `display`. */
export function shownUnit(unit: Unit, display: TemperatureUnit): Unit {
  const dimension = dimensionOf(unit);
  if (dimension === 'temperature') return display;
  if (dimension === 'temperatureDifference') return display === 'degF' ? 'deltaF' : 'K';
  return unit;
}

/**
 * A quantity for a reader of °F or °C, temperatures and differences in tenths, other units as typed.
 * `printFor({value: 2, unit: 'deltaF'}, 'degC')` is `1.1 K`.
 */
export function printFor(q: Quantity, display: TemperatureUnit): string {
  const unit = shownUnit(q.unit, display);
  const thermal = unit !== q.unit || dimensionOf(unit).startsWith('temperature');
  return `${printNumber(valueIn(q, unit), thermal ? 1 : 2)} ${symbols[unit]}`;
}
