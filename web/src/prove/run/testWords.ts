import type { Measure } from '@brine/core/commissioning';
import { parseNumber, printFor, printNumber, quantity, type TemperatureUnit } from '@brine/core/quantities';
import { readTemperature } from '../../shared/display/readTemperature.ts';

/** A value of a test for its reader. */
export function shownValue(measure: Measure, value: number, unit: TemperatureUnit): string {
  return measure.unit === 'degC'
    ? printFor(quantity(value, 'degC'), unit)
    : `${printNumber(value, 2)} ${measure.unit}`;
}

/** Between what a value must lie: `6.4 to 8.1 A`, `at least 4 min`. */
export function shownRange({ least, most, ...measure }: Measure, unit: TemperatureUnit): string {
  const show = (n: number) => shownValue({ ...measure, least, most }, n, unit);
  if (least !== null && most !== null)
    return `${show(Math.max(least, measure.unit === 'degC' ? least : 0))} to ${show(most)}`;
  if (least !== null) return `at least ${show(least)}`;
  return most === null ? '' : `at most ${show(most)}`;
}

/** What was typed as a value of the measure; null where it is none. */
export function readValue(measure: Measure, text: string, unit: TemperatureUnit): number | null {
  if (measure.unit !== 'degC') return parseNumber(text.replace(/\s*(A|min)$/i, ''));
  const read = readTemperature(text, unit);
  if (!read.ok) return null;
  return read.value.unit === 'degF' ? ((read.value.value - 32) * 5) / 9 : read.value.value;
}

export const resultWords = { passed: '✓ passed', failed: '✗ failed', skipped: '↷ skipped' } as const;
