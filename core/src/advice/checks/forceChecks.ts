import { baseValue, isQuantity, printFor, printNumber, quantity } from '../../quantities/index.ts';
import { settingOf, type SettingId, type SettingValue } from '../../settings/index.ts';
import { celsiusOf, secondsOf, switchingBand, written } from './band.ts';
import type { Check, Finding } from './finding.ts';

/** A setting that rules others: they are kept, shown, and do nothing unless it has one of these values. */
const masters: readonly {
  readonly master: SettingId;
  readonly inForceAt: readonly string[];
  readonly ruled: readonly SettingId[];
}[] = [
  {
    master: 'defrost.termination',
    inForceAt: ['temperature'],
    ruled: ['defrost.endTemperature'],
  },
  { master: 'defrost.initiation', inForceAt: ['clock'], ruled: ['defrost.clockTimes'] },
  {
    master: 'defrost.initiation',
    inForceAt: ['demand'],
    ruled: ['defrost.demandTemperatureDifference'],
  },
  {
    master: 'alarms.reference',
    inForceAt: ['absolute'],
    ruled: ['alarms.highTemperature', 'alarms.lowTemperature'],
  },
  { master: 'alarms.reference', inForceAt: ['relative'], ruled: ['alarms.highOffset', 'alarms.lowOffset'] },
  {
    master: 'compressor.onProbeFault',
    inForceAt: ['dutyCycle'],
    ruled: ['compressor.faultOnTime', 'compressor.faultOffTime'],
  },
  {
    master: 'fans.control',
    inForceAt: ['controlled'],
    ruled: ['fans.restartCoilTemperature', 'fans.stopCoilTemperature', 'fans.delayAfterDrain'],
  },
];

/** Values that a master setting disables: somebody set them and waits for what they do. */
export const notInForce: Check = ({ values }) =>
  masters.flatMap(({ master, inForceAt, ruled }): readonly Finding[] => {
    const rules = values[master];
    if (typeof rules !== 'string' || inForceAt.includes(rules)) return [];
    const idle = ruled.filter((id) => isSet(values[id]));
    if (idle.length === 0) return [];
    const entry = settingOf(master);
    const word = entry.choiceLabels?.[rules] ?? rules;
    return [
      {
        code: 'notInForce',
        severity: 'note',
        settings: [...idle, master],
        message: `${idle.map((id) => settingOf(id).label).join(' and ')} ${idle.length === 1 ? 'is' : 'are'} not in force: ${entry.label} is “${word}”.`,
        numbers: {},
      },
    ];
  });

const isSet = (value: SettingValue | undefined): boolean =>
  value !== undefined &&
  (!isQuantity(value) || value.value !== 0) &&
  !(Array.isArray(value) && value.length === 0);

/** One stage that heats while the other cools: where the air stands between both cut-outs each undoes the other. */
export const stagesFight: Check = ({ values }) => {
  const second = secondBand(values);
  const first = switchingBand(values);
  if (!first || !second) return [];
  const firstHeats = values['regulation.action'] === 'heat';
  if (firstHeats === second.heats) return [];
  const heatsTo = firstHeats ? first.cutOut : second.cutOut;
  const coolsTo = firstHeats ? second.cutOut : first.cutOut;
  if (heatsTo <= coolsTo + 1e-6) return [];
  return [
    {
      code: 'stagesFight',
      severity: 'error',
      settings: ['stage2.setpoint', 'stage2.offset', 'stage2.differential', 'regulation.setpoint'].filter(
        (id) => id in values,
      ),
      message: `One stage heats up to ${printFor(written(heatsTo, first.unit), first.unit)} while the other cools down to ${printFor(written(coolsTo, first.unit), first.unit)}: between them both run against each other. Part them by a dead band.`,
      numbers: { heatsTo, coolsTo },
    },
  ];
};

/** Where the second stage stops, °C, and whether it heats; null without one. */
function secondBand(
  values: Parameters<Check>[0]['values'],
): { readonly cutOut: number; readonly heats: boolean } | null {
  if (values['stage2.function'] !== 'thermostat') return null;
  const first = celsiusOf(values['regulation.setpoint']);
  const offset = values['stage2.offset'];
  const point =
    values['stage2.reference'] === 'relative'
      ? first === null
        ? null
        : first + (isQuantity(offset) ? baseValue(offset) : 0)
      : celsiusOf(values['stage2.setpoint']);
  if (point === null) return null;
  const heats = values['stage2.action'] === 'heat';
  const differential = values['stage2.differential'];
  const width = isQuantity(differential) ? baseValue(differential) : 0;
  const placement = values['stage2.differentialPlacement'] ?? values['regulation.differentialPlacement'];
  const share = placement === 'setpointIsMiddle' ? 0.5 : placement === 'setpointIsCutIn' ? 1 : 0;
  return { cutOut: point + (heats ? share : -share) * width, heats };
}

/** Air comes back to its band about this long after a heated defrost: 20 min at least (common practice). */
const RECOVERY_S = 1200;

/** A high alarm that is free again before the air can have come back from a heated defrost. */
export const mutedTooShort: Check = ({ values }) => {
  const method = values['defrost.method'];
  if (method !== 'electric' && method !== 'hotGas') return [];
  if (values['alarms.reference'] === undefined || values['alarms.reference'] === 'none') return [];
  const quiet = secondsOf(values, 'alarms.defrostExclusion') + secondsOf(values, 'alarms.delay');
  if (quiet >= RECOVERY_S || secondsOf(values, 'defrost.maxDuration') === 0) return [];
  return [
    {
      code: 'mutedTooShort',
      severity: 'warning',
      settings: ['alarms.defrostExclusion', 'alarms.delay'],
      message: `${Math.round(quiet / 60)} min after the drain the high alarm may sound; the air of a heated defrost needs ${RECOVERY_S / 60} min and more to come back. Lengthen the exclusion.`,
      numbers: { quiet },
    },
  ];
};

/** A slope far from 1 or an offset of many kelvins is most often a decimal point in the wrong place. */
export const decimalSlip: Check = ({ values }) =>
  (
    [
      ['probes.airSlope', 1, 0.15, ''],
      ['meter.supplySlope', 1, 0.15, ''],
      ['meter.returnSlope', 1, 0.15, ''],
      ['probes.airOffset', 0, 6, ' K'],
      ['probes.coilOffset', 0, 6, ' K'],
      ['meter.supplyOffset', 0, 6, ' K'],
      ['meter.returnOffset', 0, 6, ' K'],
    ] as const
  ).flatMap(([id, usual, most, unit]): readonly Finding[] => {
    const raw = values[id];
    const value = isQuantity(raw) ? baseValue(raw) : typeof raw === 'number' ? raw : usual;
    if (Math.abs(value - usual) <= most + 1e-9) return [];
    return [
      {
        code: 'decimalSlip',
        severity: 'warning',
        settings: [id],
        message: `${settingOf(id).label} ${printNumber(value, 4)}${unit} is far from ${usual}: read the tag again, digit by digit; a point may have slipped.`,
        numbers: { value },
      },
    ];
  });

/** An offset that stood in the old control and is gone in the new one. */
export const offsetForgotten: Check = ({ values, found }) => {
  const before = found?.['probes.airOffset'];
  const now = values['probes.airOffset'];
  if (!isQuantity(before) || Math.abs(baseValue(before)) < 0.05) return [];
  if (isQuantity(now) && Math.abs(baseValue(now)) > 1e-9) return [];
  const unit = before.unit === 'deltaF' ? 'degF' : 'degC';
  return [
    {
      code: 'offsetForgotten',
      severity: 'note',
      settings: ['probes.airOffset'],
      message: `The old control corrected its air probe by ${printFor(quantity(baseValue(before), 'K'), unit)}; the new one begins at 0. Compare its display with a thermometer before you leave: another probe needs another offset.`,
      numbers: { before: baseValue(before) },
    },
  ];
};

/** Condenser choices that follow a probe or an input that nobody fitted. */
export const withoutItsProbe: Check = ({ values }) => {
  const found: Finding[] = [];
  const say = (settings: readonly SettingId[], message: string) =>
    found.push({ code: 'withoutItsProbe', severity: 'error', settings, message, numbers: {} });
  if (values['condenser.floating'] === true && values['condenser.outdoorProbe'] !== true)
    say(
      ['condenser.floating', 'condenser.outdoorProbe'],
      'The condensing set point is to float, but no outdoor probe is fitted: it has nothing to follow and stands at its highest. Fit the probe or fix the set point.',
    );
  if (
    values['condenser.quietSource'] === 'input' &&
    values['inputs.alarmContact'] === undefined &&
    values['inputs.doorContact'] === undefined
  )
    say(
      ['condenser.quietSource'],
      'The quiet period waits for an input that is not used: the fans are never quiet. Wire the input or choose the clock.',
    );
  if (
    values['condenser.quietSource'] === 'clock' &&
    (values['condenser.quietStart'] === undefined || values['condenser.quietEnd'] === undefined)
  )
    say(
      ['condenser.quietSource', 'condenser.quietStart', 'condenser.quietEnd'],
      'The quiet period is by clock, but its begin or end is missing: the fans are never quiet. Give both times.',
    );
  return found;
};
