import { parseNumber } from '../../../foundation/quantities/index.ts';
import { HIGHEST_WORD } from '../../definitions/index.ts';

/** Which of a device's four tables, by the function that reads it: coils, contacts, holding registers, input registers. */
export type RegisterTable = 1 | 2 | 3 | 4;

/** An address as a booklet prints it. */
export interface PrintedAddress {
  /** `numbered`: 40017, the table's digit and a number; such numbers count from 1. */
  readonly form: 'plain' | 'numbered';
  readonly number: number;
  readonly table: RegisterTable | null;
  /** Two where the booklet prints a pair, such as 40017-40018. */
  readonly words: 1 | 2;
}

const TABLE_OF_DIGIT: Readonly<Record<string, RegisterTable>> = { 0: 1, 1: 2, 3: 4, 4: 3 };

/** Reads an address: `17`, `0x11`, `11h`, `40017`, `400017`, `4x0017`, `17-18`. Null where it is none. */
export function readAddress(cell: string): PrintedAddress | null {
  const [first = '', second, ...more] = cell
    .trim()
    .replace(/\s*(?:…|\.{2,}|–|—|-|\/|\+)\s*/g, ' ')
    .split(/[\s,]+/);
  const address = oneAddress(first);
  if (!address || more.length > 0) return null;
  if (second === undefined) return address;
  const next = oneAddress(second);
  // "40017-18" prints the end of the second alone.
  const isPair =
    next !== null && (next.number === address.number + 1 || first.endsWith(String(next.number - 1)));
  return isPair ? { ...address, words: 2 } : null;
}

function oneAddress(text: string): PrintedAddress | null {
  const hex = /^0x([0-9a-f]{1,4})$/i.exec(text)?.[1] ?? /^([0-9][0-9a-f]{0,4})h$/i.exec(text)?.[1];
  if (hex !== undefined) return { form: 'plain', number: parseInt(hex, 16), table: null, words: 1 };
  const marked = /^([0134])[x:](\d{1,5})$/i.exec(text);
  const numbered = marked ?? /^([0134])(\d{4,5})$/.exec(text);
  if (numbered && Number(numbered[2]) >= 1)
    return {
      form: 'numbered',
      number: Number(numbered[2]),
      table: TABLE_OF_DIGIT[numbered[1]!]!,
      words: 1,
    };
  return /^\d{1,5}$/.test(text) ? { form: 'plain', number: Number(text), table: null, words: 1 } : null;
}

/** What a booklet says of the functions of a register: which table, whether it is written, and whether only together with others. */
export interface PrintedFunctions {
  readonly table: RegisterTable;
  /** Null where only reading is spoken of, or nothing but the table. */
  readonly writes: 'one' | 'many' | null;
}

const TABLE_WORDS: readonly (readonly [RegExp, RegisterTable])[] = [
  [/\b(holding|hr|hold\.?)\b|^4x/i, 3],
  [/\b(input reg\w*|input registers?|ir|analog(ue)? in\w*)\b|^3x/i, 4],
  [/\b(coils?|do|digital out\w*|0x)\b|^0x?$/i, 1],
  [/\b(discrete|contacts?|status|di|digital in\w*|input (status|bits?))\b|^1x/i, 2],
  [/^(inputs?)$/i, 4],
];

/** Reads a cell such as `03`, `3/6/16`, `FC 3, FC 16`, `holding`. Null where it says nothing of it. */
export function readFunctions(cell: string): PrintedFunctions | null {
  const text = cell.trim();
  const spoken = TABLE_WORDS.find(([pattern]) => pattern.test(text))?.[1];
  const numbers = [...text.matchAll(/(0x[0-9a-f]{1,2}|\d{1,2})(?![\da-z])/gi)].map(([n]) => Number(n));
  if (numbers.some((n) => ![1, 2, 3, 4, 5, 6, 15, 16].includes(n)) || (numbers.length === 0 && !spoken))
    return null;
  const has = (...some: readonly number[]) => some.some((n) => numbers.includes(n));
  const table: RegisterTable | undefined =
    spoken ?? (has(3, 6, 16) ? 3 : has(1, 5, 15) ? 1 : has(4) ? 4 : has(2) ? 2 : undefined);
  if (table === undefined) return null;
  const one = table === 3 ? has(6) : table === 1 && has(5);
  const many = table === 3 ? has(16) : table === 1 && has(15);
  return { table, writes: one ? 'one' : many ? 'many' : null };
}

/** How plain addresses count: as they go over the wire, or from 1; `usual`: 40017 and the like from 1, all others as they go over the wire (common practice). */
export type AddressCount = 'usual' | 'fromZero' | 'fromOne';

/** The address as it goes over the wire, from 0. */
export function wireAddress({ form, number }: PrintedAddress, count: AddressCount): number {
  const fromOne = count === 'fromOne' || (count === 'usual' && form === 'numbered');
  return fromOne ? number - 1 : number;
}

/** An address or a word that was typed, also as 0x…; null where it is none. */
export const wholeNumber = (text: string): number | null => {
  const hex = /^0x([0-9a-f]{1,4})$/i.exec(text.trim())?.[1];
  const number = hex === undefined ? parseNumber(text) : parseInt(hex, 16);
  return number !== null && Number.isInteger(number) && number >= 0 && number <= HIGHEST_WORD ? number : null;
};
