import { sentence } from '../../foundation/sentences/index.ts';
import { EPSILON } from '../../foundation/limits/index.ts';
import { alarmLimits, secondsOf, switchingBand, written } from '../../foundation/regulation/index.ts';
import type { Check, Finding } from './finding.ts';

/** A high alarm inside the working band sounds in normal running. */
export const highAlarmInsideBand: Check = ({ values }) => {
  const { high } = alarmLimits(values);
  const band = switchingBand(values);
  if (high === null || !band || high > Math.max(band.cutIn, band.cutOut) + EPSILON) return [];
  return [
    {
      code: 'highAlarmInsideBand',
      severity: 'error',
      settings: limitSettings(values, 'high'),
      message: sentence`The high alarm at ${written(high, band.unit)} does not lie above cut-in at ${written(band.cutIn, band.unit)}: it sounds in normal running. Raise it.`,
      numbers: { high, cutIn: band.cutIn },
    },
  ];
};

/** A low alarm at or above cut-out sounds whenever the compressor stops. */
export const lowAlarmAboveCutOut: Check = ({ values }) => {
  const { low } = alarmLimits(values);
  const band = switchingBand(values);
  if (low === null || !band || low < Math.min(band.cutIn, band.cutOut) - EPSILON) return [];
  return [
    {
      code: 'lowAlarmAboveCutOut',
      severity: 'error',
      settings: limitSettings(values, 'low'),
      message: sentence`The low alarm at ${written(low, band.unit)} does not lie below cut-out at ${written(band.cutOut, band.unit)}: it sounds in normal running. Lower it.`,
      numbers: { low, cutOut: band.cutOut },
    },
  ];
};

/** Exclusion and delay that fill the time between two defrosts: the alarm can never sound. */
export const alarmNeverFree: Check = ({ values }) => {
  if (values['alarms.reference'] === undefined || values['alarms.reference'] === 'none') return [];
  const interval = secondsOf(values, 'defrost.interval');
  if (interval === 0 || values['defrost.initiation'] === 'manual') return [];
  const away = secondsOf(values, 'defrost.maxDuration') + secondsOf(values, 'defrost.drainTime');
  const counted = values['defrost.initiation'] === 'coolingTime' ? interval : interval - away;
  const quiet = secondsOf(values, 'alarms.defrostExclusion') + secondsOf(values, 'alarms.delay');
  if (quiet < counted) return [];
  return [
    {
      code: 'alarmNeverFree',
      severity: 'error',
      settings: ['alarms.defrostExclusion', 'alarms.delay', 'defrost.interval'],
      message: `${minutes(quiet)} of exclusion and delay fill the ${minutes(counted)} between two defrosts: the temperature alarm can never sound. Shorten them.`,
      numbers: { quiet, between: counted },
    },
  ];
};

/** What keeps warm is watched from below. */
const noLowAlarm: Finding = {
  code: 'noLowAlarm',
  severity: 'warning',
  settings: ['alarms.reference'],
  message: 'No low alarm is in force: a dead heater is found by the product.',
  numbers: {},
};

/** No alarm on the side where a dead machine shows, said once. */
export const noHighAlarm: Check = ({ values }) => {
  const { high, low } = alarmLimits(values);
  if (values['alarms.reference'] === undefined) return [];
  if (values['regulation.action'] === 'heat') return low === null ? [noLowAlarm] : [];
  if (high !== null) return [];
  return [
    {
      code: 'noHighAlarm',
      severity: 'warning',
      settings: ['alarms.reference'],
      message: 'No high alarm is in force: a dead compressor is found by the product.',
      numbers: {},
    },
  ];
};

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
      message: `${Math.round(quiet / 60)} min after the drip time the high alarm may sound; the air of a heated defrost needs ${RECOVERY_S / 60} min and more to come back. Lengthen the exclusion.`,
      numbers: { quiet },
    },
  ];
};

function limitSettings(values: Readonly<Record<string, unknown>>, side: 'high' | 'low'): readonly string[] {
  return values['alarms.reference'] === 'relative' ? [`alarms.${side}Offset`] : [`alarms.${side}Temperature`];
}

function minutes(seconds: number): string {
  return `${Math.round(seconds / 60)} min`;
}
