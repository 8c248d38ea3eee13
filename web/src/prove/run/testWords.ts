import type { Measure } from '@brine/core/judgement/commissioning';
import {
  parseNumber,
  printFor,
  printNumber,
  quantity,
  type TemperatureUnit,
  difference,
  valueIn,
} from '@brine/core/foundation/quantities';
import { readTemperature } from '../../shared/display/readTemperature.ts';

/** A value of a test for its reader. */
export function shownValue(measure: Measure, value: number, unit: TemperatureUnit): string {
  return measure.unit === 'degC' || measure.unit === 'K'
    ? printFor(quantity(value, measure.unit), unit)
    : `${printNumber(value, 2)} ${measure.unit}`;
}

/** What may be below nothing. */
const signed: ReadonlySet<Measure['unit']> = new Set(['degC', 'K', '%']);

/** Between what a value must lie: `6.4 to 8.1 A`, `at least 4 min`. */
export function shownRange({ least, most, ...measure }: Measure, unit: TemperatureUnit): string {
  const show = (n: number) => shownValue({ ...measure, least, most }, n, unit);
  if (least !== null && most !== null)
    return `${show(signed.has(measure.unit) ? least : Math.max(least, 0))} to ${show(most)}`;
  if (least !== null) return `at least ${show(least)}`;
  return most === null ? '' : `at most ${show(most)}`;
}

/** What was typed as a value of the measure; null where it is none. */
export function readValue(measure: Measure, text: string, unit: TemperatureUnit): number | null {
  if (measure.unit === 'K') {
    const kelvins = parseNumber(text.replace(/\s*(K|dF|°?[CF])$/i, ''));
    return kelvins === null ? null : difference(kelvins, unit === 'degF' ? 'deltaF' : 'K');
  }
  if (measure.unit !== 'degC') return parseNumber(text.replace(/\s*(A|V|s|min|%)$/i, ''));
  const read = readTemperature(text, unit);
  if (!read.ok) return null;
  return valueIn(read.value, 'degC');
}

export const resultWords = { passed: '✓ passed', failed: '✗ failed', skipped: '↷ skipped' } as const;
