import { parseNumber } from '../../../foundation/quantities/index.ts';
import type { Setting, SettingKind } from '../../../foundation/settings/index.ts';

/** What a row's unit and range say of its value; `any` where they say nothing. */
export type RowKind =
  | 'temperature'
  | 'difference'
  | 'degrees'
  | 'duration'
  | 'volts'
  | 'percent'
  | 'clock'
  | 'plain'
  | 'choice'
  | 'foreign'
  | 'any';

/** The columns of a row that tell its kind. */
export interface Measured {
  readonly unit: string;
  readonly min: string;
  readonly max: string;
  readonly default: string;
  /** How many options the row's words or columns name. */
  readonly options: number;
}

const units: readonly (readonly [RegExp, RowKind])[] = [
  [/^(k|kelvin|delta ?[cf]|δ ?°?[cfk])$/i, 'difference'],
  [/^(°|º|deg(rees?)?)?\s?[cf]$/i, 'degrees'],
  [/^(°\s?c\s?\/\s?°?\s?f|deg(rees?)?|°|grad)$/i, 'degrees'],
  [/^(s|sec|secs|seconds?|min|mins|minutes?|h|hr|hrs|hours?|10 ?s|min\.|sec\.)$/i, 'duration'],
  [/^(v|volts?)$/i, 'volts'],
  [/^(%|percent|pct)$/i, 'percent'],
  [/^(h:min|hh:mm|h:m|time of day)$/i, 'clock'],
  [/^(bar|psi|kpa|mbar|kwh|d|days?|rh|% ?rh|hz|a|ma|w)$/i, 'foreign'],
  [/^(flag|num|number|int|-|–|—|none|)$/i, 'any'],
];

/** Reads a row's kind from its unit, else from its range. */
export function rowKind(row: Measured): RowKind {
  const unit = row.unit.trim();
  const known = units.find(([pattern]) => pattern.test(unit))?.[1] ?? 'any';
  if (known !== 'any') return known === 'degrees' ? degrees(row) : known;
  if (row.options >= 2) return 'choice';
  const [min, max] = [parseNumber(row.min), parseNumber(row.max)];
  if (min === null || max === null) return row.min.trim() !== '' && row.max.trim() !== '' ? 'choice' : 'any';
  if (Number.isInteger(min) && Number.isInteger(max) && min >= 0 && max - min <= 12) return 'choice';
  return 'plain';
}

/** No probe is corrected by more, degrees. */
const WIDEST_OFFSET = 36;

/** Degrees may be a temperature or a width; a narrow range from about nothing is a width, a wide one that goes below freezing a temperature. */
function degrees(row: Measured): RowKind {
  const [min, max] = [parseNumber(row.min), parseNumber(row.max)];
  if (min === null || max === null) {
    // One end follows another code: what is known tells a temperature from a width.
    const standard = parseNumber(row.default);
    const cold = [min, standard].some((value) => value !== null && value < 0);
    const far = max !== null && max > WIDEST_OFFSET;
    return cold || far ? 'temperature' : 'degrees';
  }
  if (min === -max && max <= WIDEST_OFFSET && parseNumber(row.default) === 0) return 'difference';
  if (min >= 0 && min <= 3 && max <= 30) return 'degrees';
  return 'temperature';
}

const fits: Readonly<Record<RowKind, Partial<Record<SettingKind, number>>>> = {
  temperature: { temperature: 1, temperatureDifference: 0.8 },
  difference: { temperatureDifference: 1 },
  degrees: { temperature: 0.95, temperatureDifference: 1 },
  duration: { duration: 1 },
  volts: { volts: 1 },
  percent: { percent: 1 },
  clock: { clockTimes: 1, clockTime: 1 },
  plain: {
    count: 1,
    ratio: 1,
    temperature: 0.7,
    temperatureDifference: 0.7,
    duration: 0.7,
    percent: 0.7,
    volts: 0.7,
  },
  choice: { choice: 1, flag: 1, count: 0.85, duration: 0.6, temperatureDifference: 0.6 },
  foreign: {},
  any: {
    choice: 0.95,
    flag: 0.95,
    count: 0.9,
    ratio: 0.9,
    temperature: 0.85,
    temperatureDifference: 0.85,
    duration: 0.85,
    percent: 0.85,
    volts: 0.85,
    clockTime: 0.85,
    clockTimes: 0.85,
  },
};

/** How well a row of that kind can hold a setting: 1 as it should be, 0 not at all. */
export function kindFits(kind: RowKind, setting: Setting): number {
  return fits[kind][setting.kind] ?? 0;
}
