export { clockWords } from './clock.ts';
export { baseValue, convert, fits, sameQuantity, valueIn } from './convert.ts';
export { expectedForm, type Parsed, parseNumber, parseQuantity } from './parse.ts';
export { printFixed, printFor, printNumber, printQuantity, shownUnit, unitSymbol } from './print.ts';
export { isQuantity, quantity, type Quantity } from './quantity.ts';
export { ceilTo, clean, decimalsOf, floorTo, roundTo } from './round.ts';
export { above, temperature, temperatureIn } from './temperature.ts';
export { difference, differenceIn } from './difference.ts';
export {
  type Dimension,
  dimensionOf,
  type DurationUnit,
  isUnit,
  type TemperatureUnit,
  type Unit,
} from './units.ts';
