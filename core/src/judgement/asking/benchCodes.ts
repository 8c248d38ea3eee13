import {
  displayOf,
  encodeNumber,
  scaleOf,
  settingsOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import { encode } from '../../controllers/translate/index.ts';
import { floorTo, quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';

/** Values under which a control answers at once: between ice water and a hand, nothing delayed. */
const quick: SettingValues = {
  'regulation.setpoint': quantity(10, 'degC'),
  'regulation.differential': quantity(4, 'K'),
  'compressor.powerOnDelay': quantity(0, 's'),
  'compressor.minOffTime': quantity(0, 's'),
  'compressor.minOnTime': quantity(0, 's'),
  'compressor.minStartInterval': quantity(0, 's'),
  'compressor.callDelay': quantity(0, 's'),
  'defrost.atPowerOn': false,
  'defrost.maxDuration': quantity(5, 'min'),
  'defrost.drainTime': quantity(0, 's'),
  'alarms.delay': quantity(0, 's'),
  'alarms.powerOnExclusion': quantity(0, 's'),
  'probes.airOffset': quantity(0, 'K'),
  'probes.coilOffset': quantity(0, 'K'),
  'probes.filterTime': quantity(0, 's'),
};

/** The codes that are keyed before anything is tried, and all codes as they then stand: those not told of are at their factory value. */
export function benchCodes(definition: ControllerDefinition): {
  readonly first: readonly { readonly code: string; readonly value: CodeValue }[];
  readonly standing: CodeValues;
} {
  const held = new Set(Object.keys(quick));
  const { all } = encode(quick, definition);
  const value = new Map(
    all.flatMap((row) => (row.code === null ? [] : [[row.code, row.value as CodeValue] as const])),
  );
  const first = definition.parameters.flatMap((parameter) => {
    const isQuick = settingsOf(parameter).some((id) => held.has(id));
    const to = value.get(parameter.code);
    return isQuick && to !== undefined ? [{ code: parameter.code, value: to }] : [];
  });
  return { first, standing: value };
}

/** Temperatures and differences about the baths at which a band is told apart, °C and K. */
const aboutBaths = [-3, -2, -1, 1, 2, 3, 4, 6, 28, 30] as const;
const widths = [2, 4, 6, 8] as const;
/** Numbers that are tried of any other code, as the display shows them. */
const numbers = [0, 1, 2, 3, 4, 5, 8, 10, 15, 20, 30, 60] as const;

/** Values of a code that are worth a trial: every option; of a number some that are small, and its ends. */
export function tryValues(
  definition: ControllerDefinition,
  parameter: Parameter,
  standing: CodeValues,
): readonly CodeValue[] {
  const { encoding } = parameter;
  if (encoding.type === 'choice') return encoding.options.map(({ value }) => value);
  if (encoding.type !== 'number') return [];
  const display = displayOf(definition, standing);
  const scale = scaleOf(encoding, display);
  const setting = settingsOf(parameter)[0];
  const of: readonly number[] =
    setting === 'regulation.setpoint'
      ? aboutBaths.flatMap((c) => encodeNumber(quantity(c, 'degC'), encoding, display)?.value ?? [])
      : setting === 'regulation.differential'
        ? widths.flatMap((k) => encodeNumber(quantity(k, 'K'), encoding, display)?.value ?? [])
        : [...numbers, ...numbers.map((n) => -n)];
  const onScale = [...of, scale.min, scale.max].map((n) => floorTo(n, scale.resolution));
  return [...new Set(onScale)]
    .filter((n) => n >= scale.min - 1e-9 && n <= scale.max + 1e-9)
    .toSorted((a, b) => Math.abs(a) - Math.abs(b) || b - a);
}

/** The code that holds a setting alone. */
export const codeOf = (definition: ControllerDefinition, setting: SettingId): Parameter | undefined =>
  definition.parameters.find((one) => one.setting === setting && one.encoding.type === 'number');
