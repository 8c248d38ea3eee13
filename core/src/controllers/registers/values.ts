import { clean, quantity, roundTo, valueIn, type Unit } from '../../foundation/quantities/index.ts';
import {
  resolutionOf,
  sameCodeValue,
  shownUnitOf,
  type CodeValue,
  type DisplayState,
  type Parameter,
  type Register,
} from '../definitions/index.ts';
import { fitsType, fromWords, toWords } from './words.ts';

const scaleOf = ({ scale }: Register): number => scale ?? 1;
/** Units that two temperatures or differences may stand in; all else must be told alike on display and bus. */
const isUnit = (unit: string | undefined): unit is Unit =>
  unit !== undefined && unit !== 'ratio' && unit !== 'none';

/**
 * The words that stand for a code's value. A number is what the display shows, brought to the register's unit and times its scale, rounded to a
 * whole number where the type is; an option is its number, or its place in the list where it is a word. Null where the type cannot hold it.
 */
export function wordsOf(
  register: Register,
  parameter: Parameter,
  value: CodeValue,
  display: DisplayState,
): readonly number[] | null {
  const { encoding } = parameter;
  let number: number;
  if (encoding.type === 'number') {
    const unit = shownUnitOf(encoding, display);
    const shown = Number(value);
    number = unit !== null && isUnit(register.unit) ? valueIn(quantity(shown, unit), register.unit) : shown;
  } else if (encoding.type === 'choice') {
    const place = encoding.options.findIndex((option) => sameCodeValue(option.value, value));
    const option = encoding.options[place];
    if (!option) return null;
    number = typeof option.value === 'number' ? option.value : place;
  } else number = Number(value);
  if (!Number.isFinite(number)) return null;
  const scaled = number * scaleOf(register);
  const stored = register.type === 'float32' ? scaled : roundTo(scaled, 1);
  return fitsType(stored, register.type) ? toWords(stored, register) : null;
}

/**
 * A code's value as the display shows it, from words off the wire; null where they stand for none of its options. What the bus keeps finer than the
 * display shows is rounded as the display does.
 */
export function codeValueOf(
  register: Register,
  parameter: Parameter,
  words: readonly number[],
  display: DisplayState,
): CodeValue | null {
  const { encoding } = parameter;
  const number = fromWords(words, register) / scaleOf(register);
  if (!Number.isFinite(number)) return null;
  if (encoding.type === 'number') {
    const unit = shownUnitOf(encoding, display);
    const shown =
      unit !== null && isUnit(register.unit) ? valueIn(quantity(number, register.unit), unit) : number;
    return roundTo(shown, resolutionOf(encoding, display));
  }
  if (encoding.type === 'choice') {
    const byNumber = encoding.options.find(
      (option) => typeof option.value === 'number' && option.value === number,
    );
    const byPlace = encoding.options[number];
    return byNumber?.value ?? (typeof byPlace?.value === 'string' ? byPlace.value : null);
  }
  return encoding.type === 'preset' ? String(number) : number;
}

/** A reading off the wire: °C of a temperature, true or false of an output, the number of a phase; null where the device says it is not there. */
export function readingOf(register: Register, words: readonly number[]): number | boolean | null {
  const stored = fromWords(words, register);
  if (stored === register.absent || Number.isNaN(stored)) return null;
  const number = stored / scaleOf(register);
  switch (register.reading) {
    case 'compressor':
    case 'fan':
    case 'defrost':
    case 'alarm':
      return stored !== 0;
    case 'phase':
      return number;
    default:
      return clean(register.unit === 'degF' ? valueIn(quantity(number, 'degF'), 'degC') : number, 4);
  }
}

/** The words by which a device tells a reading, or null where it cannot: what `readingOf` reads back. NaN is a probe that is not there. */
export function readingWords(register: Register, value: number | boolean): readonly number[] | null {
  if (typeof value === 'boolean') return toWords(value ? 1 : 0, register);
  if (Number.isNaN(value)) return register.absent === undefined ? null : toWords(register.absent, register);
  const shown = register.unit === 'degF' ? valueIn(quantity(value, 'degC'), 'degF') : value;
  const scaled = shown * scaleOf(register);
  const stored = register.type === 'float32' ? scaled : roundTo(scaled, 1);
  return fitsType(stored, register.type) ? toWords(stored, register) : null;
}
