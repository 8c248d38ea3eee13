import { quantity, valueIn, type Quantity, type TemperatureUnit } from '@brine/core/foundation/quantities';

/** A temperature in a unit, in steps of a tenth, so that a dragged flag types what it shows. */
export function typed(celsius: number, unit: TemperatureUnit): Quantity {
  return quantity(Math.round(valueIn(quantity(celsius, 'degC'), unit) * 10) / 10, unit);
}

/** A width of kelvins, never below zero, in the same steps. */
export function width(kelvins: number, unit: TemperatureUnit): Quantity {
  const wide = unit === 'degF' ? 'deltaF' : 'K';
  return quantity(Math.round(valueIn(quantity(Math.max(kelvins, 0), 'K'), wide) * 10) / 10, wide);
}

/** A difference of kelvins of either sign, in the same steps. */
export function signed(kelvins: number, unit: TemperatureUnit): Quantity {
  const wide = unit === 'degF' ? 'deltaF' : 'K';
  return quantity(Math.round(valueIn(quantity(kelvins, 'K'), wide) * 10) / 10, wide);
}
