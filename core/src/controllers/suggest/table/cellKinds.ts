import { parseNumber } from '../../../foundation/quantities/index.ts';

const unit =
  /^(°|º)?\s?[cf]$|^(°\s?c\s?\/\s?°?\s?f|deg\.?( ?[cf])?|degrees|k|s|sec\.?|seconds?|min\.?|minutes?|h|hr|hrs|hours?|%|v|volts?|bar|psi|kpa|flag|num|h:min|hh:mm|rpm|hz|days?|kwh|1\/min|10 ?s|10 ?min)$/i;

/** True for what a booklet prints in a column of units. */
export const isUnit = (cell: string): boolean => unit.test(cell.trim());

/** A number, or a short option such as `y`, `oF`, `dEF`. */
export const isValue = (cell: string): boolean =>
  parseNumber(cell) !== null ||
  /^[A-Za-z0-9.:+-]{1,5}$/.test(cell.trim()) ||
  /^\d{1,2}:\d{2}$/.test(cell.trim());

/** A code: one short word, or up to four digits; a number with a sign or a point is a value. */
export const isCode = (cell: string): boolean => {
  const word = cell.trim();
  if (!/[A-Za-z0-9]/.test(word)) return false;
  return /^\d{1,4}$/.test(word) || (/^[A-Za-z0-9./_-]{1,7}$/.test(word) && parseNumber(word) === null);
};

/** A range in one cell, with what is left of it: "-40…99 °F", "0 to 15 min", "n/y", "1..20". */
export interface RangeCell {
  readonly min: string;
  readonly max: string;
  readonly unit: string;
}

const number = String.raw`[+\-−–]?\s?\d+(?:[.,]\d+)?`;
const range = new RegExp(
  String.raw`^\(?\s*(${number})\s*(°?\s?[a-z%]{1,4})?\s*(?:\.{2,3}|…|÷|to|bis|–|—|/|-|~)\s*(${number})\s*\)?\s*(.*?)\)?$`,
  'i',
);
const words = /^\(?\s*([A-Za-z]{1,4})\s*(?:\/|\||,|\.{2,3}|…)\s*([A-Za-z]{1,4})\s*\)?$/;

/** "-50.0 … r2", "r1 … +50": one end is what another code stands at. */
const limit = String.raw`[+\-−–]?\s?\d+(?:[.,]\d+)?|[A-Za-z][A-Za-z0-9]{0,4}(?:\s?[+\-−]\s?\d+(?:[.,]\d+)?)?`;
const byAnother = new RegExp(
  String.raw`^\(?\s*((?=[^A-Za-z]*\d|[A-Za-z]\w*\d|[A-Z])(?:${limit}))\s*(?:\.{2,3}|…|÷|to)\s*((?:${limit}))\s*(°\s?[cf]|k)?\s*\)?$`,
  'i',
);

/** Reads a range out of one cell; null where there is none. */
export function rangeCell(cell: string): RangeCell | null {
  const found = range.exec(cell.trim());
  if (found) {
    const rest = (found[4] ?? '').trim();
    const own = isUnit(rest) ? rest : isUnit((found[2] ?? '').trim()) ? found[2]!.trim() : '';
    if (rest !== '' && own === '') return null;
    return { min: plain(found[1]!), max: plain(found[3]!), unit: own };
  }
  const followed = byAnother.exec(cell.trim());
  if (followed)
    return { min: plain(followed[1]!), max: plain(followed[2]!), unit: (followed[3] ?? '').trim() };
  const pair = words.exec(cell.trim());
  return pair && !isUnit(cell) ? { min: pair[1]!, max: pair[2]!, unit: '' } : null;
}

/** A number as a program reads it. */
export const plain = (text: string): string =>
  text.trim().replace(/[−–]/g, '-').replace(/\s+/g, '').replace(',', '.');
