import {
  parseNumber,
  parseQuantity,
  type Parsed,
  type Quantity,
  type TemperatureUnit,
} from '@brine/core/foundation/quantities';

/** A temperature as typed: with its unit, or a bare number in the degrees this reader sees. */
export function readTemperature(text: string, shown: TemperatureUnit): Parsed<Quantity> {
  const bare = parseNumber(text);
  return bare === null
    ? parseQuantity(text, 'temperature')
    : { ok: true, value: { value: bare, unit: shown } };
}
