import { alarmLimits, switchingBand, written } from '../../foundation/regulation/index.ts';
import {
  baseValue,
  isQuantity,
  type Quantity,
  type TemperatureUnit,
} from '../../foundation/quantities/index.ts';
import { inWords, sentence, type Sentence } from '../../foundation/sentences/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';

/**
 * What a control is set to, in sentences for people who have never seen its menu. Each stands only where every value that it speaks of is known.
 *
 * @param values what is known to be in the unit, fixed behaviour among it; nothing planned
 */
export function plainWords(values: SettingValues, reader: TemperatureUnit): readonly string[] {
  const lines = [
    band(values, reader),
    range(values),
    fans(values, reader),
    rest(values),
    defrost(values),
    alarm(values, reader),
    keypad(values),
  ];
  return lines.flatMap((line) => (line === null ? [] : [inWords(line, reader)]));
}

function band(values: SettingValues, reader: TemperatureUnit): Sentence | null {
  const both = switchingBand(values);
  // Where the differential lies has to be known: 38 with 5 may run from 43 or from 40.5.
  if (!both || values['regulation.differentialPlacement'] === undefined) {
    const setpoint = values['regulation.setpoint'];
    return isQuantity(setpoint) ? sentence`Its set point is ${setpoint}.` : null;
  }
  const [start, stop] = [written(both.cutIn, reader), written(both.cutOut, reader)];
  return values['regulation.action'] === 'heat'
    ? sentence`It starts heating at ${start} and stops at ${stop}.`
    : sentence`It starts cooling at ${start} and stops at ${stop}.`;
}

function range(values: SettingValues): Sentence | null {
  const [least, most] = [values['regulation.setpointMin'], values['regulation.setpointMax']];
  return isQuantity(least) && isQuantity(most)
    ? sentence`The set point can be moved from ${least} to ${most}.`
    : null;
}

function fans(values: SettingValues, reader: TemperatureUnit): Sentence | null {
  const [setpoint, width] = [values['condenser.setpoint'], values['condenser.differential']];
  if (!isQuantity(setpoint)) return null;
  if (!isQuantity(width)) return sentence`The condenser fans keep ${setpoint}.`;
  const full = written(baseValue(setpoint) + baseValue(width), reader);
  return sentence`The condenser fans begin at ${setpoint} and run fully at ${full}.`;
}

function rest(values: SettingValues): Sentence | null {
  const pause = positive(values, 'compressor.minOffTime');
  return pause && sentence`After each stop it waits at least ${pause}: it does not start at once.`;
}

/** What is counted until the next defrost. */
const counting: Readonly<Record<string, (every: Quantity) => Sentence>> = {
  interval: (every) => sentence`every ${every}`,
  coolingTime: (every) => sentence`after ${every} of cooling`,
  compressorRunTime: (every) => sentence`after ${every} of running`,
};
const clearings: Readonly<Record<string, string>> = {
  offCycle: 'with the compressor off',
  electric: 'with heaters',
  hotGas: 'with hot gas',
};

function defrost(values: SettingValues): Sentence | null {
  const how = clearings[String(values['defrost.method'] ?? '')];
  const longest = positive(values, 'defrost.maxDuration');
  const most = longest ? sentence`, at most ${longest}` : '';
  const end = values['defrost.endTemperature'];
  const until =
    values['defrost.termination'] === 'temperature' && isQuantity(end)
      ? sentence`, until the coil is at ${end}`
      : '';
  const by = how ? ` ${how}` : '';
  const times = values['defrost.clockTimes'];
  if (values['defrost.method'] === 'none') return null;
  if (values['defrost.initiation'] === 'clock' && Array.isArray(times) && times.length > 0)
    return sentence`It defrosts at ${times.join(', ')}${by}${until}${most}.`;
  if (values['defrost.initiation'] === 'demand')
    return sentence`It defrosts when the coil asks for it${by}${until}${most}.`;
  const every = positive(values, 'defrost.interval');
  const counted = counting[String(values['defrost.initiation'])];
  return every && counted ? sentence`It defrosts ${counted(every)}${by}${until}${most}.` : null;
}

function alarm(values: SettingValues, reader: TemperatureUnit): Sentence | null {
  const { high, low } = alarmLimits(values);
  if (high === null && low === null) return null;
  const limits = [
    ...(high === null ? [] : [sentence`above ${written(high, reader)}`]),
    ...(low === null ? [] : [sentence`below ${written(low, reader)}`]),
  ];
  const wait = positive(values, 'alarms.delay');
  const after = wait ? sentence` for ${wait}` : '';
  const said = limits.length === 2 ? sentence`${limits[0]!} or ${limits[1]!}` : limits[0]!;
  return sentence`It alarms ${said}${after}.`;
}

const keypad = (values: SettingValues): Sentence | null =>
  values['access.keypadLock'] === true ? 'Its keys are locked.' : null;

/** A duration that is set and not nothing. */
function positive(values: SettingValues, id: SettingId) {
  const value = values[id];
  return isQuantity(value) && value.value > 0 ? value : null;
}
