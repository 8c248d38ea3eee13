import {
  CONTROLLER_FORMAT,
  optionValue,
  type ControllerDefinition,
  type Encoding,
  type EncodingUnit,
  type Panel,
  type Parameter,
  type RangeUnit,
} from '../../definitions/index.ts';
import { settingOf, type SettingId, type SettingValue } from '../../../foundation/settings/index.ts';
import { parseNumber } from '../../../foundation/quantities/index.ts';
import type { OptionMeaning } from '../choices/meanings.ts';
import type { DraftRow } from './draftRow.ts';

/** Why a row cannot become a parameter as it stands. */
export interface OpenRow {
  readonly line: number;
  readonly code: string;
  readonly message: string;
}

/** What a controller is called, beside its rows. */
export interface DraftNames {
  readonly id: string;
  readonly family: string;
  readonly version: string;
  readonly summary?: string;
}

/** A definition of the rows that can be parameters, and the rows that cannot yet. Nothing is left out silently. */
export interface Draft {
  readonly definition: ControllerDefinition;
  readonly open: readonly OpenRow[];
}

/**
 * Makes a definition of a mended table. Temperatures follow the display's unit where the table has a parameter for it; a number's step is the
 * finest its printed values need. A row without range or factory value, or with an option whose meaning is not said, stays open.
 */
export function draftDefinition(names: DraftNames, rows: readonly DraftRow[], panel: Panel | null): Draft {
  const follows = rows.some((row) => row.setting === 'display.unit');
  const tenths = rows.some(
    (row) =>
      row.setting === 'display.decimal' ||
      row.choices.some((choice) => choice.also?.setting === 'display.decimal'),
  );
  const open: OpenRow[] = [];
  const taken = new Set<string>();
  const parameters = rows.flatMap((row): Parameter[] => {
    const say = (message: string) => {
      open.push({ line: row.line, code: row.code, message });
      return [];
    };
    if (row.code === '') return say('expected a code');
    if (taken.has(row.code)) return say(`the code ${row.code} is there already`);
    const encoding = encodingOf(withEnds(row, rows), follows, tenths);
    if (typeof encoding === 'string') return say(encoding);
    taken.add(row.code);
    return [
      {
        code: row.code,
        name: row.description || row.code,
        path: row.folder === '' ? [] : row.folder.split(/\s*[/>]\s*/),
        ...(row.setting !== null &&
          encoding.type !== 'reading' &&
          !row.choices.some((choice) => choice.also) && { setting: row.setting }),
        encoding,
        ...noteOf(row),
        ...shownWhen(row, rows),
      },
    ];
  });
  const unit =
    rows.find((row) => /[cf]/i.test(row.unit.replace(/°|º|deg\w*/i, '')) && row.setting !== null)?.unit ?? '';
  const definition: ControllerDefinition = {
    format: CONTROLLER_FORMAT,
    ...names,
    parameters,
    fixed: follows || unit === '' ? {} : { 'display.unit': /f/i.test(unit) ? 'fahrenheit' : 'celsius' },
    ...(panel && { panel }),
  };
  return { definition, open };
}

/** On what other choice a row depends, as the menu's rule; a code that is no row any more shows nothing. */
function shownWhen({ condition }: DraftRow, rows: readonly DraftRow[]): Pick<Parameter, 'visibleWhen'> {
  if (!condition || !rows.some((row) => row.code === condition.code)) return {};
  return { visibleWhen: { code: condition.code, in: condition.values.map(optionValue) } };
}

const noteOf = (row: DraftRow) => {
  const note = row.problems.find((problem) => /value follows/.test(problem));
  return note === undefined ? {} : { note };
};

/** An end of a range that follows another code can stand nowhere beyond the ends of the other rows in the same unit. */
function withEnds(row: DraftRow, rows: readonly DraftRow[]): DraftRow {
  if (!row.problems.some((problem) => /value follows/.test(problem))) return row;
  const ends = rows
    .filter((other) => other.unit === row.unit)
    .flatMap(({ min, max }) => [parseNumber(min), parseNumber(max)])
    .filter((end) => end !== null);
  if (ends.length === 0) return row;
  return {
    ...row,
    min: row.min || String(Math.min(...ends)),
    max: row.max || String(Math.max(...ends)),
  };
}

function encodingOf(row: DraftRow, follows: boolean, tenths: boolean): Encoding | string {
  if (row.choices.length >= 2) return choiceOf(row);
  const [min, max, standard] = [row.min, row.max, row.default].map(parseNumber);
  if (row.min === '' && row.max === '' && row.default === '' && row.setting === null)
    return { type: 'reading', reads: row.description || row.code };
  if (min === null || max === null) return 'expected a range: its least and its greatest value as numbers';
  if (standard === null) return 'expected a factory value';
  if (min! > max!) return `the least value ${row.min} is above the greatest, ${row.max}`;
  if (standard! < min! || standard! > max!)
    return `the factory value ${row.default} lies outside ${row.min} to ${row.max}`;
  const units = unitOf(row, follows);
  if (units === null)
    return `the unit "${row.unit}" is not known; expected °C, °F, K, s, min, h, %, V or none`;
  const step = 10 ** -Math.max(...[row.min, row.max, row.default].map((t) => t.split('.')[1]?.length ?? 0));
  const fine = tenths && (units.unit === 'displayTemperature' || units.unit === 'displayDifference');
  return {
    type: 'number',
    ...units,
    min: min!,
    max: max!,
    default: standard!,
    resolution: fine ? { withDecimal: 0.1, without: 1 } : step,
  };
}

function choiceOf(row: DraftRow): Encoding | string {
  const asks = row.setting === null ? null : settingOf(row.setting);
  if (asks && asks.kind !== 'choice' && asks.kind !== 'flag')
    return `${asks.label} is no choice, but this row lists ${row.choices.length} options`;
  const silent = row.choices.find((c) => c.means === null);
  if (asks && silent) return `say what ${silent.value} stands for`;
  const standard = row.choices.find((c) => c.value.toLowerCase() === row.default.trim().toLowerCase());
  if (!standard)
    return row.default === ''
      ? 'expected a factory value'
      : `the factory value ${row.default} is none of its options`;
  return {
    type: 'choice',
    options: row.choices.map((c) => ({
      value: optionValue(c.value),
      ...(asks && row.setting !== null
        ? { means: combined(row.setting, c) }
        : c.words !== '' && { means: c.words }),
    })),
    default: optionValue(standard.value),
  };
}

/** What an option stands for; both settings where it says two. */
const combined = (setting: SettingId, { means, also }: OptionMeaning) =>
  also ? { [setting]: means as SettingValue, [also.setting]: also.value } : (means as SettingValue);

/** The unit numbers stand in, and the one the booklet's range is printed in. */
function unitOf(row: DraftRow, follows: boolean): { unit: EncodingUnit; rangeUnit?: RangeUnit } | null {
  const unit = row.unit
    .trim()
    .toLowerCase()
    .replace(/^[°º]\s?/, '°')
    .replace(/\.$/, '');
  const kind = row.setting === null ? null : settingOf(row.setting).kind;
  const plain: Readonly<Record<string, EncodingUnit>> = {
    s: 's',
    sec: 's',
    seconds: 's',
    second: 's',
    min: 'min',
    minutes: 'min',
    minute: 'min',
    h: 'h',
    hr: 'h',
    hrs: 'h',
    hours: 'h',
    hour: 'h',
    '%': '%',
    percent: '%',
    v: 'V',
    volts: 'V',
    volt: 'V',
    '': 'none',
    flag: 'none',
    num: 'none',
  };
  if (unit in plain) return { unit: kind === 'ratio' && plain[unit] === 'none' ? 'ratio' : plain[unit]! };
  const celsius = /^(°?c|deg ?c|k|°|deg|degrees|°c ?\/ ?°f)$/.test(unit);
  if (!celsius && !/^(°?f|deg ?f)$/.test(unit)) return null;
  const difference = kind === 'temperatureDifference' || (kind === null && unit === 'k');
  if (difference)
    return follows
      ? { unit: 'displayDifference', rangeUnit: celsius ? 'K' : 'deltaF' }
      : { unit: celsius ? 'K' : 'deltaF' };
  return follows
    ? { unit: 'displayTemperature', rangeUnit: celsius ? 'degC' : 'degF' }
    : { unit: celsius ? 'degC' : 'degF' };
}
