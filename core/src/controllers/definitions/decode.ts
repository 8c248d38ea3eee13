import { isQuantity, parseNumber, type Quantity } from '../../foundation/quantities/index.ts';
import { type SettingId, type SettingValue, type SettingValues } from '../../foundation/settings/index.ts';
import {
  isCombined,
  parameterOf,
  type ChoiceOption,
  type CodeValue,
  type ControllerDefinition,
  type NumberEncoding,
  type Parameter,
  type SettingPart,
} from './definition.ts';
import { displayOf, sameCodeValue, type DisplayState } from './display.ts';
import { decodeNumber, printScale, scaleOf } from './numberCode.ts';
import type { SheetRow } from './sheet.ts';

/** A row that means nothing to this family, with the reason. Nothing typed is lost. */
export interface UnplacedRow {
  readonly code: string;
  readonly value: string;
  readonly reason: string;
}

/** What a sheet means. `codes` are the values that were understood, as the display shows them. */
export interface Decoded {
  readonly values: SettingValues;
  readonly unplaced: readonly UnplacedRow[];
  readonly codes: ReadonlyMap<string, CodeValue>;
  readonly display: DisplayState;
}

/** The empty meaning of a definition: what is fixed in it. */
type Meaning = Partial<Record<SettingId, SettingValue>>;

/**
 * Reads a sheet in a controller's own codes. `fixed` behaviour is included; a code not on the sheet is absent: unknown, not quiet and
 * not the default. Only for reading the numbers, display unit and tenths fall back to the definition's default.
 */
export function decode(definition: ControllerDefinition, rows: readonly SheetRow[]): Decoded {
  const unplaced: UnplacedRow[] = [];
  const typed = new Map<string, { parameter: Parameter; row: SheetRow }>();
  for (const row of rows) {
    const reason = refusal(definition, row, typed);
    if (reason !== null) unplaced.push({ code: row.code, value: row.value, reason: atLine(row, reason) });
    else typed.set(row.code, { parameter: parameterOf(definition, row.code)!, row });
  }
  const display = displayOf(definition, new Map([...typed].map(([code, { row }]) => [code, row.value])));
  const values: Meaning = { ...definition.implied, ...definition.fixed };
  const codes = new Map<string, CodeValue>();
  for (const { parameter, row } of typed.values()) {
    const read = readCode(parameter, row.value, display);
    if (typeof read === 'string')
      unplaced.push({ code: row.code, value: row.value, reason: atLine(row, read) });
    else {
      codes.set(parameter.code, read.code);
      Object.assign(values, meaningOf(parameter, read.code, display));
    }
  }
  return { values, unplaced, codes, display };
}

/** A typed value as the display shows it, or the sentence that refuses it. */
export function readCode(
  parameter: Parameter,
  text: string,
  display: DisplayState,
): { readonly code: CodeValue } | string {
  const { encoding } = parameter;
  switch (encoding.type) {
    case 'number': {
      const value = parseNumber(text);
      if (value === null)
        return `“${text}” is not a number; expected ${printScale(scaleOf(encoding, display))}`;
      return outOfScale(value, encoding, display) ?? { code: value };
    }
    case 'choice': {
      const option = encoding.options.find((o) => sameCodeValue(o.value, text.trim()));
      return option
        ? { code: option.value }
        : `“${text}” is no choice; expected ${encoding.options.map((o) => o.value).join(', ')}`;
    }
    case 'preset':
      return { code: text.trim() };
    case 'reading':
      return 'this entry only shows a reading; it holds no setting';
  }
}

/** What one code at one value means, in settings. Empty where the code has no setting in the dictionary. */
export function meaningOf(parameter: Parameter, code: CodeValue, display: DisplayState): SettingValues {
  const { encoding } = parameter;
  if (encoding.type === 'number') return meaningOfNumber(parameter, encoding, Number(code), display);
  if (encoding.type !== 'choice') return {};
  const option = encoding.options.find((o) => sameCodeValue(o.value, code));
  return option ? meaningOfOption(parameter, option) : {};
}

/** What an option means in settings. */
export function meaningOfOption(parameter: Parameter, option: ChoiceOption): SettingValues {
  if (option.means === undefined) return {};
  if (isCombined(option.means)) return option.means;
  return typeof parameter.setting === 'string' ? { [parameter.setting]: option.means } : {};
}

function meaningOfNumber(
  parameter: Parameter,
  encoding: NumberEncoding,
  shown: number,
  display: DisplayState,
): SettingValues {
  if (parameter.setting === undefined) return {};
  const parts: readonly SettingPart[] =
    typeof parameter.setting === 'string' ? [{ id: parameter.setting }] : parameter.setting;
  const value = decodeNumber(shown, encoding, display);
  return Object.fromEntries(parts.map((part) => [part.id, partOf(value, part)]));
}

/** One of several settings a number stands for. Limits that are widths are positive whichever way the family signs them. */
export function partOf(value: Quantity | number, part: SettingPart): Quantity | number {
  const sign = part.sign ?? 1;
  if (!isQuantity(value)) return value * sign + 0;
  const signed = value.value * sign + 0;
  return {
    value: part.id === 'alarms.lowOffset' || part.id === 'alarms.highOffset' ? Math.abs(signed) : signed,
    unit: value.unit,
  };
}

function refusal(
  definition: ControllerDefinition,
  row: SheetRow,
  seen: ReadonlyMap<string, unknown>,
): string | null {
  if (row.code === '') return 'the code is missing';
  if (!parameterOf(definition, row.code)) return nearest(definition, row.code);
  if (seen.has(row.code)) return `${row.code} stands on the sheet twice; the first one counts`;
  if (row.value === '') return 'the value is missing';
  return null;
}

function nearest(definition: ControllerDefinition, code: string): string {
  const twin = definition.parameters.find((p) => p.code.toLowerCase() === code.toLowerCase());
  return twin
    ? `${definition.family} has no code ${code}; did you mean ${twin.code}?`
    : `${definition.family} has no code ${code}`;
}

function outOfScale(value: number, encoding: NumberEncoding, display: DisplayState): string | null {
  const scale = scaleOf(encoding, display);
  return value < scale.min - 1e-9 || value > scale.max + 1e-9
    ? `${value} is out of range; expected ${printScale(scale)}`
    : null;
}

function atLine(row: SheetRow, reason: string): string {
  return row.line === undefined ? reason : `line ${row.line}: ${reason}`;
}
