import { printNumber, unitSymbol } from '../../foundation/quantities/index.ts';
import {
  displayOf,
  HIGHEST_WORD,
  parameterOf,
  readFunctionOf,
  sameCodeValue,
  scaleOf,
  wordsIn,
  type CodeValue,
  type ControllerDefinition,
  type DisplayState,
  type Register,
} from '../definitions/index.ts';
import { foundOf } from './found.ts';
import { codeValueOf, readingOf } from './values.ts';

/** One word, or bit, of a device: which of its four tables, and where. */
export interface RegisterPlace {
  readonly table: 1 | 2 | 3 | 4;
  readonly address: number;
}

/** What a device answered, word by word, or why it did not. */
export class Heard {
  private readonly words = new Map<string, number | string>();

  constructor(answers: Iterable<RegisterPlace & { readonly is: number | string }>) {
    for (const { table, address, is } of answers) this.words.set(`${table} ${address}`, is);
  }

  /** The words of a register that stands so many addresses further on; why there are none; or null where nobody asked. */
  of(register: Register, shift = 0): readonly number[] | string | null {
    const words: number[] = [];
    for (let i = 0; i < wordsIn(register.type); i += 1) {
      const word = this.words.get(`${readFunctionOf(register)} ${register.address + shift + i}`);
      if (typeof word !== 'number') return word ?? null;
      words.push(word);
    }
    return words;
  }
}

/** What is asked to try registers: their words, and one on either side, by which it is seen where addresses count from. */
export function placesToTry(registers: readonly Register[]): readonly RegisterPlace[] {
  const places = new Map<string, RegisterPlace>();
  for (const register of registers)
    for (let at = register.address - 1; at <= register.address + wordsIn(register.type); at += 1)
      if (at >= 0 && at <= HIGHEST_WORD) {
        const place = { table: readFunctionOf(register), address: at };
        places.set(`${place.table} ${at}`, place);
      }
  return [...places.values()];
}

/** What a register told when it was tried, by the meaning that was written down for it. */
export interface Tried {
  /** The words as they came; null where none did. */
  readonly words: readonly number[] | null;
  /** What they stand for, as the display would show it; or why there are none. */
  readonly shows: string;
  /** Whether that can be: a value in its range, one of its options, a temperature of a cold room. */
  readonly fits: boolean;
  /** How the same words would be something that can be, where one way alone does it. */
  readonly instead: Partial<Pick<Register, 'scale' | 'type' | 'wordOrder'>> | null;
}

/** Coldest and warmest that a probe in the trade tells, °C: below and above it is no temperature of a unit. Common practice. */
const PROBE = { coldest: -60, warmest: 120 } as const;
const SCALES = [1, 10, 100] as const;

/** Judges registers by what a device answered: each row, and whether all would fit better if addresses counted otherwise. */
export function judgeTrial(
  definition: ControllerDefinition,
  heard: Heard,
): { readonly rows: ReadonlyMap<Register, Tried>; readonly shift: -1 | 0 | 1 } {
  const registers = definition.registers ?? [];
  const display = displayFrom(definition, heard, 0);
  const rows = new Map(
    registers.map((register) => [register, triedOf(definition, register, heard, display)] as const),
  );
  const scores = ([0, 1, -1] as const).map((shift) => ({ shift, score: scoreOf(definition, heard, shift) }));
  const best = scores.reduce((one, next) => (next.score > one.score ? next : one));
  // A row or two fit by chance.
  return { rows, shift: best.score >= scores[0]!.score + CLEARLY ? best.shift : 0 };
}
/** So many values more must fit before addresses are said to count otherwise. Ours. */
const CLEARLY = 3;

function displayFrom(definition: ControllerDefinition, heard: Heard, shift: number): DisplayState {
  const words = new Map<Register, readonly number[]>();
  for (const register of definition.registers ?? []) {
    const of = heard.of(register, shift);
    if (register.code !== undefined && Array.isArray(of)) words.set(register, of as readonly number[]);
  }
  return displayOf(definition, foundOf(definition, words).values);
}

/** How many rows can be, and how many of them stand at the factory's value besides. */
function scoreOf(definition: ControllerDefinition, heard: Heard, shift: number): number {
  const display = displayFrom(definition, heard, shift);
  let score = 0;
  for (const register of definition.registers ?? []) {
    const words = heard.of(register, shift);
    if (words === null || typeof words === 'string') continue;
    const { value, fits } = meant(definition, register, words, display);
    if (!fits) continue;
    score += 1;
    const encoding =
      register.code === undefined ? undefined : parameterOf(definition, register.code)?.encoding;
    if (encoding?.type === 'number' && sameCodeValue(value as CodeValue, scaleOf(encoding, display).default))
      score += 1;
    if (encoding?.type === 'choice' && sameCodeValue(value as CodeValue, encoding.default)) score += 1;
  }
  return score;
}

function triedOf(
  definition: ControllerDefinition,
  register: Register,
  heard: Heard,
  display: DisplayState,
): Tried {
  const words = heard.of(register);
  if (words === null) return { words: null, shows: 'not asked for', fits: false, instead: null };
  if (typeof words === 'string') return { words: null, shows: words, fits: false, instead: null };
  const { shows, fits } = meant(definition, register, words, display);
  return { words, shows, fits, instead: fits ? null : insteadOf(definition, register, words, display) };
}

function insteadOf(
  definition: ControllerDefinition,
  register: Register,
  words: readonly number[],
  display: DisplayState,
): Tried['instead'] {
  const others: Partial<Pick<Register, 'scale' | 'type' | 'wordOrder'>>[] = [];
  if (register.type === 'int16') others.push({ type: 'uint16' });
  if (register.type === 'uint16') others.push({ type: 'int16' });
  if (words.length === 2)
    others.push({ wordOrder: register.wordOrder === 'lowFirst' ? 'highFirst' : 'lowFirst' });
  const can = (other: (typeof others)[number]) =>
    meant(definition, { ...register, ...other }, words, display).fits;
  const fitting = others.filter(can);
  // Of several scales the smallest: hundredths of what tenths explain nobody keeps.
  const scale = SCALES.find((one) => one !== (register.scale ?? 1) && can({ scale: one }));
  if (scale !== undefined) fitting.push({ scale });
  return fitting.length === 1 ? fitting[0]! : null;
}

/** What words stand for under a meaning, as text and value, and whether it can be. */
function meant(
  definition: ControllerDefinition,
  register: Register,
  words: readonly number[],
  display: DisplayState,
): { readonly shows: string; readonly value: CodeValue | boolean | null; readonly fits: boolean } {
  if (register.reading !== undefined) {
    const value = readingOf(register, words);
    if (value === null) return { value, shows: 'not there', fits: true };
    if (typeof value === 'boolean')
      return { value, shows: value ? 'on' : 'off', fits: words.every((word) => word <= 1) };
    if (register.reading === 'phase')
      return { value, shows: printNumber(value, 2), fits: value >= 0 && value < 100 };
    const fits = value >= PROBE.coldest && value <= PROBE.warmest;
    return { value, shows: `${printNumber(value, 1)} °C`, fits };
  }
  const parameter = parameterOf(definition, register.code!);
  const value = parameter ? codeValueOf(register, parameter, words, display) : null;
  if (!parameter || value === null)
    return { value: null, shows: `${words.join(', ')}, none of its values`, fits: false };
  const { encoding } = parameter;
  if (encoding.type !== 'number') return { value, shows: String(value), fits: true };
  const { min, max, unit } = scaleOf(encoding, display);
  const symbol = unit === null ? '' : ` ${unitSymbol(unit)}`;
  const fits = Number(value) >= min - 1e-9 && Number(value) <= max + 1e-9;
  return { value, shows: `${printNumber(Number(value), 2)}${symbol}`, fits };
}
