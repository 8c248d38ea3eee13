import { parseNumber } from '../../../foundation/quantities/index.ts';
import type { RegisterType } from '../../definitions/index.ts';

/** A type as a booklet prints it; the order of words where it is told beside it. */
export interface PrintedType {
  readonly type: RegisterType;
  readonly wordOrder: 'highFirst' | 'lowFirst' | null;
}

const TYPES: readonly (readonly [RegExp, RegisterType])[] = [
  [/^(float|real|single|f32|fp)/, 'float32'],
  [
    /^(unsigned (long|int(eger)?32|32)|u(nsigned )?int(eger)? ?32|udint|dword|ulong|u32|unsigned dword)/,
    'uint32',
  ],
  [/^((signed )?(int(eger)? ?32|long|dint|32)|s32|i32|signed (long|dword)|sint ?32)/, 'int32'],
  [/^(bit|bool(ean)?|coil|flag|contact|on\/off|0\/1|b)\b/, 'bit'],
  [/^(unsigned|u(nsigned )?int(eger)?( ?16)?|uint|u16|ushort|word|usint|byte|u8|uint8|enum)/, 'uint16'],
  [/^(signed|s(igned )?int(eger)?( ?16)?|int(eger)?( ?16)?|s16|i16|short|sint|s8|int8|16 ?bit)/, 'int16'],
];

/** Reads a type such as `INT16`, `unsigned`, `word`, `float (low word first)`. Null where it is none. */
export function readType(cell: string): PrintedType | null {
  const text = cell.trim().toLowerCase();
  const type = TYPES.find(([pattern]) => pattern.test(text))?.[1];
  if (!type) return null;
  const wordOrder = /low|little|swap|cdab|lsw|lo\/?hi/.test(text)
    ? 'lowFirst'
    : /high|big|abcd|msw|hi\/?lo/.test(text)
      ? 'highFirst'
      : null;
  return { type, wordOrder };
}

/** A scale as a booklet prints it, as what is stored for each one that is shown. */
export function readScale(cell: string, decimals = false): number | null {
  const text = cell.trim().replace(',', '.');
  if (decimals) return /^[0-4]$/.test(text) ? 10 ** Number(text) : null;
  const power = /^10\s?(?:\^|\*\*|e)\s?-\s?([1-4])$/i.exec(text)?.[1] ?? /^1?e-([1-4])$/i.exec(text)?.[1];
  if (power !== undefined) return 10 ** Number(power);
  const number = parseNumber(
    text
      .replace(/^1?\s?[/÷:]\s?/, '')
      .replace(/^[x×*]\s?/i, '')
      .replace(/\s?[x×*]$/i, ''),
  );
  if (number === null || number <= 0) return null;
  // A register holds whole numbers: "0.1", "x 10", "1/10" and "10" all say that it holds tenths.
  return number >= 1 ? number : Math.round(1e6 / number) / 1e6;
}

/** A unit of a register, as temperatures; differences are told apart where it is known what the number is. */
export type PrintedUnit = 'degC' | 'degF' | 's' | 'min' | 'h' | '%' | 'V' | 'display';

/** A cell of a column of units: the unit, and the scale where it is printed beside it, as in `0.1 °C`, `°C x10`, `°F/10`. */
export function readUnit(cell: string): { readonly unit: PrintedUnit | null; readonly scale: number | null } {
  const text = cell.trim();
  const scaled =
    /^([x×*]?\s?(?:0?[.,]\d+|1\s?[/÷]\s?\d+|10+))\s*[x×*]?\s*(.+)$/i.exec(text) ??
    /^(\S.*?)\s*([x×*]\s?\d+(?:[.,]\d+)?|[/÷]\s?10+)$/i
      .exec(text)
      ?.map((part, i, all) => (i === 1 ? all[2]! : i === 2 ? all[1]! : part));
  const scale = scaled ? readScale(scaled[1]!) : null;
  const word = (scale === null ? text : scaled![2]!).replace(/[°º\s.]/g, '').toLowerCase();
  const unit = UNITS.find(([pattern]) => pattern.test(word))?.[1] ?? null;
  return { unit, scale };
}

const UNITS: readonly (readonly [RegExp, PrintedUnit])[] = [
  [/^(c\/f|f\/c|deg|degrees?|degc\/f|disp\w*)$/, 'display'],
  [/^(deg|dgr)?c(elsius)?$|^k(elvin)?$/, 'degC'],
  [/^(deg)?f(ahrenheit)?$/, 'degF'],
  [/^s(ec)?(onds?)?$/, 's'],
  [/^min(ute)?s?$/, 'min'],
  [/^h(r|rs|ours?)?$/, 'h'],
  [/^%(rh)?$|^percent$/, '%'],
  [/^v(olts?)?$/, 'V'],
];

/** Whether a register may be written: `R/W`, `RW`, `W`, `read only`, `RO`. Null where the cell does not say. */
export function readAccess(cell: string): boolean | null {
  const text = cell.trim().toLowerCase();
  if (/^(r ?[/,+&-]? ?w|w ?[/,+&-]? ?r|w|wo|read ?[/,+&-]? ?write|write( only)?|yes|y|✓|writ\w*)$/.test(text))
    return true;
  return /^(r|ro|read( only)?|read-only|no|n|–|-)$/.test(text) ? false : null;
}
