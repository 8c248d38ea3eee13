import {
  above,
  baseValue,
  dimensionOf,
  expectedForm,
  isQuantity,
  printQuantity,
  temperature,
  type Dimension,
  type Quantity,
} from '../quantities/index.ts';
import { findSetting, type Setting, type SettingId } from './dictionary.ts';
import type { SettingKind } from './define.ts';
import type { SettingValues } from './value.ts';

/** A fault of a value: a typed code, where, and a sentence that says what was expected. */
export interface ValueProblem {
  readonly code:
    | 'unknownSetting'
    | 'wrongKind'
    | 'differenceTypedAsTemperature'
    | 'unitDoesNotFit'
    | 'unknownChoice'
    | 'impossible'
    | 'contradiction';
  readonly settings: readonly string[];
  readonly message: string;
}

const dimensionOfKind: Readonly<Partial<Record<SettingKind, Dimension>>> = {
  temperature: 'temperature',
  temperatureDifference: 'temperatureDifference',
  duration: 'duration',
  volts: 'volts',
  percent: 'percent',
};

/** Differences that may be negative; every other one is a width. */
const signedDifferences: ReadonlySet<string> = new Set([
  'probes.airOffset',
  'probes.coilOffset',
  'stage2.offset',
  'regulation.setback',
  'condenser.floatingDifference',
]);

/** Beyond these no controller of this trade measures: °C. */
const COLDEST_C = -100;
const HOTTEST_C = 200;
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

/**
 * Judges one value read from a file or typed. Null when it is possible; whether it is *wise* is for `advice/check`.
 * `validateValue('regulation.differential', {value: 2, unit: 'degF'})` says that a difference is wanted.
 */
export function validateValue(id: string, value: unknown): ValueProblem | null {
  const setting = findSetting(id);
  if (!setting)
    return problem('unknownSetting', id, `${id} is not a known setting; see \`brine settings\` for the ids`);
  const dimension = dimensionOfKind[setting.kind];
  if (dimension)
    return isQuantity(value)
      ? quantityProblem(setting, value, dimension)
      : wrongKind(setting, expectedForm(dimension), value);
  if (isQuantity(value)) return wrongKind(setting, bareForm(setting), value);
  switch (setting.kind) {
    case 'choice':
      return setting.choices!.includes(value as string)
        ? null
        : problem(
            'unknownChoice',
            id,
            `${setting.label}: ${JSON.stringify(value)} is no choice; expected ${setting.choices!.join(', ')}`,
          );
    case 'flag':
      return typeof value === 'boolean' ? null : wrongKind(setting, bareForm(setting), value);
    case 'count':
      return Number.isInteger(value) && (value as number) >= 0
        ? null
        : wrongKind(setting, bareForm(setting), value);
    case 'ratio':
      return Number.isFinite(value) ? null : wrongKind(setting, bareForm(setting), value);
    case 'clockTime':
      return typeof value === 'string' && CLOCK.test(value)
        ? null
        : wrongKind(setting, bareForm(setting), value);
    default:
      return Array.isArray(value) && value.every((time) => typeof time === 'string' && CLOCK.test(time))
        ? null
        : wrongKind(setting, bareForm(setting), value);
  }
}

/** Judges a set: each value, and what contradicts whatever the goods and the unit are. */
export function validateSet(values: Readonly<Record<string, unknown>>): readonly ValueProblem[] {
  const single = Object.entries(values).flatMap(([id, value]) => validateValue(id, value) ?? []);
  const broken = new Set(single.flatMap((p) => p.settings));
  const sound = Object.fromEntries(Object.entries(values).filter(([id]) => !broken.has(id))) as SettingValues;
  return [...single, ...orderProblems(sound)];
}

const ascending: readonly (readonly [SettingId, SettingId])[] = [
  ['regulation.setpointMin', 'regulation.setpointMax'],
  ['regulation.setpointMin', 'regulation.setpoint'],
  ['regulation.setpoint', 'regulation.setpointMax'],
  ['condenser.setpointMin', 'condenser.setpointMax'],
  ['condenser.driveMinVolts', 'condenser.driveMaxVolts'],
  ['condenser.speedMin', 'condenser.speedMax'],
  ['condenser.lowTemperature', 'condenser.highTemperature'],
  ['condenser.fanCount', 'condenser.fansFitted'],
];

function orderProblems(values: SettingValues): readonly ValueProblem[] {
  return ascending.flatMap(([low, high]) => {
    const a = values[low];
    const b = values[high];
    if (!isQuantity(a) || !isQuantity(b) || baseValue(a) <= baseValue(b) + 1e-6) return [];
    const message = `${findSetting(low)!.label} ${printQuantity(a)} lies above ${findSetting(high)!.label.toLowerCase()} ${printQuantity(b)}; expected the other way round`;
    return [{ code: 'contradiction' as const, settings: [low, high], message }];
  });
}

function quantityProblem(setting: Setting, q: Quantity, dimension: Dimension): ValueProblem | null {
  const found = dimensionOf(q.unit);
  if (dimension === 'temperatureDifference' && found === 'temperature') return typedAsTemperature(setting, q);
  if (found !== dimension)
    return problem(
      'unitDoesNotFit',
      setting.id,
      `${setting.label}: ${q.unit} does not fit; expected ${expectedForm(dimension)}`,
    );
  const size = baseValue(q);
  if (dimension === 'temperature' && (size < COLDEST_C || size > HOTTEST_C))
    return problem(
      'impossible',
      setting.id,
      `${setting.label}: ${printQuantity(q)} is outside −100…200 °C, which no control of this trade measures`,
    );
  if (dimension === 'temperatureDifference' && size < 0 && !signedDifferences.has(setting.id))
    return negativeWidth(setting, q);
  if ((dimension === 'duration' || dimension === 'volts') && size < 0)
    return problem(
      'impossible',
      setting.id,
      `${setting.label}: ${printQuantity(q)} is below zero; expected 0 or more`,
    );
  if (dimension === 'percent' && (size < 0 || size > 100))
    return problem('impossible', setting.id, `${setting.label}: ${printQuantity(q)} is outside 0…100 %`);
  return null;
}

function typedAsTemperature(setting: Setting, q: Quantity): ValueProblem {
  const asDifference: Quantity = { value: q.value, unit: q.unit === 'degF' ? 'deltaF' : 'K' };
  const kelvins = baseValue(asDifference).toFixed(1);
  const celsius = temperature(q.value, q.unit as 'degC' | 'degF')
    .toFixed(1)
    .replace('-', '−');
  const meant =
    q.unit === 'degF'
      ? `a difference of ${q.value} °F is ${kelvins} K; as a temperature it would be ${celsius} °C`
      : `write ${q.value}K`;
  return problem(
    'differenceTypedAsTemperature',
    setting.id,
    `${setting.label} is a difference, but ${printQuantity(q)} is a temperature: ${meant}`,
  );
}

function negativeWidth(setting: Setting, q: Quantity): ValueProblem {
  // The arithmetic slip (x − 32)·5/9 applied to a difference leaves a whole Fahrenheit number when undone.
  const undone = (baseValue(q) * 9) / 5 + 32;
  const slip = above(temperature(undone, 'degF'), temperature(Math.round(undone), 'degF'));
  const whole = Math.round(undone);
  if (whole > 0 && Math.abs(slip) < 0.06)
    return problem(
      'differenceTypedAsTemperature',
      setting.id,
      `${setting.label} of ${printQuantity(q)} is ${whole} °F converted as a temperature; a difference of ${whole} °F is ${((whole * 5) / 9).toFixed(1)} K`,
    );
  return problem(
    'impossible',
    setting.id,
    `${setting.label}: ${printQuantity(q)} is below zero; expected a width of 0 or more`,
  );
}

function bareForm(setting: Setting): string {
  const forms: Partial<Record<SettingKind, string>> = {
    choice: `one of ${setting.choices?.join(', ')}`,
    flag: 'true or false',
    count: 'a whole number of 0 or more, without unit',
    ratio: 'a bare number',
    clockTime: 'a time of day such as "06:30"',
    clockTimes: 'a list of times of day such as ["02:00", "14:00"]',
  };
  return forms[setting.kind] ?? setting.kind;
}

function wrongKind(setting: Setting, expected: string, value: unknown): ValueProblem {
  return problem(
    'wrongKind',
    setting.id,
    `${setting.label}: ${JSON.stringify(value)} does not fit; expected ${expected}`,
  );
}

function problem(code: ValueProblem['code'], id: string, message: string): ValueProblem {
  return { code, settings: [id], message };
}
