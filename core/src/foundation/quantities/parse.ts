import { quantity, type Quantity } from './quantity.ts';
import type { Dimension, Unit } from './units.ts';
import { dimensionOf } from './units.ts';

/** A value, or one sentence that says what was expected. */
export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

const spellings: ReadonlyMap<string, Unit> = new Map<string, Unit>([
  ...(['C', '°C', 'degC', 'deg C'] as const).map((s) => [s, 'degC'] as const),
  ...(['F', '°F', 'degF', 'deg F'] as const).map((s) => [s, 'degF'] as const),
  ['K', 'K'],
  ...(['dF', 'deltaF', 'd°F', 'Δ°F', 'ΔF'] as const).map((s) => [s, 'deltaF'] as const),
  ...(['s', 'sec'] as const).map((s) => [s, 's'] as const),
  ['min', 'min'],
  ...(['h', 'hr'] as const).map((s) => [s, 'h'] as const),
  ['V', 'V'],
  ['A', 'A'],
  ...(['ohm', 'ohms', 'Ω', 'Ω'] as const).map((s) => [s, 'ohm'] as const),
  ['W', 'W'],
  ['%', '%'],
]);

const examples: Readonly<Record<Dimension, string>> = {
  temperature: 'a temperature such as 37F or 2.8C',
  temperatureDifference: 'a difference such as 5K or 9dF',
  duration: 'a time such as 90s, 20min or 6h',
  volts: 'volts such as 230V',
  amps: 'amps such as 7.5A',
  ohms: 'ohms such as 9.0k or 1200ohm',
  watts: 'watts such as 1800W',
  percent: 'a percentage such as 60%',
};

/** What a person should have typed for a dimension. */
export function expectedForm(dimension: Dimension): string {
  return examples[dimension];
}

/**
 * A bare number as a person types it: `-9.4`, `+3`, `.5`, `2,5` (decimal comma), `−4` (true minus). Null when it is none;
 * thousands separators and exponents are refused rather than guessed.
 */
export function parseNumber(text: string): number | null {
  const plain = text.trim().replace(/^[−–]/, '-').replace(',', '.');
  if (!/^[+-]?(\d+(\.\d*)?|\.\d+)$/.test(plain)) return null;
  return Number(plain) + 0;
}

/**
 * A quantity as typed: `37F`, `2.8 °C`, `5K`, `9dF`, `20min`, `9.0k` (ohms). With `expected`, another dimension is refused with a
 * sentence, and so is a bare number: a unit is never guessed.
 */
export function parseQuantity(text: string, expected?: Dimension): Parsed<Quantity> {
  const wanted = expected ? examples[expected] : 'a number with its unit, such as 37F, 5K or 20min';
  const match = /^([+\-−–]?[\d.,]+)\s*(.*)$/u.exec(text.trim());
  const value = match?.[1] === undefined ? null : parseNumber(match[1]);
  if (match === null || value === null)
    return { ok: false, problem: `“${text}” is no quantity; expected ${wanted}` };
  const tail = match[2]!.trim();
  if (tail === '') return { ok: false, problem: `“${text}” has no unit; expected ${wanted}` };

  const prefixed = /^([kM])(ohm|Ω|Ω)?$/u.exec(tail);
  if (prefixed)
    return inDimension(quantity(value * (prefixed[1] === 'k' ? 1e3 : 1e6), 'ohm'), text, expected);
  const unit = spellings.get(tail);
  if (unit === undefined) return { ok: false, problem: `“${tail}” is no unit; expected ${wanted}` };
  return inDimension(quantity(value, unit), text, expected);
}

function inDimension(q: Quantity, text: string, expected?: Dimension): Parsed<Quantity> {
  const found = dimensionOf(q.unit);
  if (expected === undefined || expected === found) return { ok: true, value: q };
  return { ok: false, problem: `“${text}” is ${article(found)}; expected ${examples[expected]}` };
}

function article(dimension: Dimension): string {
  if (dimension === 'temperatureDifference') return 'a temperature difference';
  return dimension === 'temperature' || dimension === 'duration' ? `a ${dimension}` : `in ${dimension}`;
}
