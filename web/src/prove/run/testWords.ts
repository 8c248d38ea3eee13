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
import { stopwatch } from '../../shared/display/localTime.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';

/** A value of a test for its reader. */
export function shownValue(measure: Measure, value: number, unit: TemperatureUnit): string {
  if (measure.unit === 'degC' || measure.unit === 'K') return printFor(quantity(value, measure.unit), unit);
  if (measure.unit === 'min') return shownTime(value * 60);
  return measure.unit === 's' ? shownTime(value) : `${printNumber(value, 2)} ${measure.unit}`;
}

/** Seconds as a stopwatch shows them: `45 s`, `3 min`, `3:04 min`, `1 h 20 min`. */
export function shownTime(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole} s`;
  const minutes = Math.floor(whole / 60);
  if (minutes >= 60)
    return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
  return whole % 60 === 0 ? `${minutes} min` : `${stopwatch(whole)} min`;
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

const SECONDS: Readonly<Record<string, number>> = { s: 1, min: 60, h: 3600 };

/** A time, s: with its unit (`45 s`, `2.5 min`, `1 h`) or as a stopwatch shows it (`3:04`); null for a number alone. */
function timeIn(text: string): number | null {
  const clock = /^(\d+):([0-5]\d)(?:\s*min)?$/.exec(text.trim());
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const [, number = '', unit = ''] = /^(.*?)\s*(s|min|h)$/i.exec(text.trim()) ?? [];
  const value = unit === '' ? null : parseNumber(number);
  return value === null ? null : value * SECONDS[unit.toLowerCase()]!;
}

/** What was typed as a value of the measure; null where it is none. */
export function readValue(measure: Measure, text: string, unit: TemperatureUnit): number | null {
  if (measure.unit === 'K') {
    const kelvins = parseNumber(text.replace(/\s*(K|dF|°?[CF])$/i, ''));
    return kelvins === null ? null : difference(kelvins, unit === 'degF' ? 'deltaF' : 'K');
  }
  if (measure.unit === 'min' || measure.unit === 's') {
    const seconds = timeIn(text);
    if (seconds === null) return parseNumber(text);
    return measure.unit === 'min' ? seconds / 60 : seconds;
  }
  if (measure.unit !== 'degC') return parseNumber(text.replace(/\s*(A|V|%)$/i, ''));
  const read = readTemperature(text, unit);
  if (!read.ok) return null;
  return valueIn(read.value, 'degC');
}

export const resultWords = { passed: '✓ passed', failed: '✗ failed', skipped: '↷ skipped' } as const;
