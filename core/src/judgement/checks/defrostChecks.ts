import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import { isFreezer, type SettingValues } from '../../foundation/settings/index.ts';
import { isQuantity, quantity } from '../../foundation/quantities/index.ts';
import { celsiusOf, secondsOf, switchingBand, written } from '../../foundation/regulation/index.ts';
import type { Check } from './finding.ts';

/** Least time a box needs to come back after defrost and drain before the next one: 30 min. Common practice. */
const RECOVERY_S = 1800;

/** Interval shorter than defrost + drain + recovery. */
export const intervalTooShort: Check = ({ values }) => {
  const interval = secondsOf(values, 'defrost.interval');
  const duration = secondsOf(values, 'defrost.maxDuration');
  if (interval === 0 || duration === 0 || values['defrost.method'] === 'none') return [];
  if (['manual', 'clock', 'compressorRunTime'].includes(values['defrost.initiation'] as string)) return [];
  const away = duration + secondsOf(values, 'defrost.drainTime');
  const cooling = values['defrost.initiation'] === 'coolingTime' ? interval : interval - away;
  if (cooling >= RECOVERY_S) return [];
  const left = Math.max(0, Math.round(cooling / 60));
  return [
    {
      code: 'intervalTooShort',
      severity: 'error',
      settings: ['defrost.interval', 'defrost.maxDuration', 'defrost.drainTime'],
      message: `${left} min of cooling are left between defrosts of up to ${Math.round(away / 60)} min with their drip time; a box needs at least ${RECOVERY_S / 60}. Lengthen the interval.`,
      numbers: { interval, away, cooling },
    },
  ];
};

/** No defrost at all: said so, or switched off by its length. */
const neverDefrosts = (values: SettingValues): boolean => {
  const longest = values['defrost.maxDuration'];
  return values['defrost.method'] === 'none' || (isQuantity(longest) && longest.value === 0);
};

/** Ending by coil temperature without a coil probe: it ends by time, whatever is set. */
export const endTemperatureWithoutCoilProbe: Check = ({ values, unit }) => {
  const probe = values['probes.coilPresent'] ?? (unit ? unit.probes.includes('coil') : undefined);
  const missing = probe === false || (unit !== null && !unit.probes.includes('coil'));
  if (!missing || neverDefrosts(values) || values['defrost.termination'] !== 'temperature') return [];
  return [
    {
      code: 'endTemperatureWithoutCoilProbe',
      severity: 'error',
      settings: ['defrost.termination', 'defrost.endTemperature', 'probes.coilPresent'],
      message:
        'Defrost is to end by coil temperature, but no coil probe is fitted: every defrost will run its full time. Fit a probe or end by time.',
      numbers: {},
    },
  ];
};

/** Off-cycle defrost on a box below freezing: box air melts nothing. */
export const offCycleBelowFreezing: Check = ({ values, unit }) => {
  if (values['defrost.method'] !== 'offCycle') return [];
  const band = switchingBand(values);
  const cold = band ? band.cutIn <= 0 : unit !== null && isFreezer(unit.application);
  if (!cold) return [];
  const at: Sentence = band ? sentence`at ${written(band.cutIn, band.unit)} and below` : 'below freezing';
  const numbers: Readonly<Record<string, number>> = band ? { cutIn: band.cutIn } : {};
  return [
    {
      code: 'offCycleBelowFreezing',
      severity: 'error',
      settings: ['defrost.method', 'regulation.setpoint'],
      message: sentence`Off-cycle defrost melts with box air, and this box stands ${at}: nothing will melt. It needs heaters or hot gas.`,
      numbers,
    },
  ];
};

/** Fan restart above fan stop: the fan is released and stopped again at once. */
export const fanRestartAboveFanStop: Check = ({ values }) => {
  const restart = celsiusOf(values['fans.restartCoilTemperature']);
  const stop = celsiusOf(values['fans.stopCoilTemperature']);
  if (restart === null || stop === null || restart <= stop + 1e-6) return [];
  const unit = (values['fans.restartCoilTemperature'] as { unit: 'degC' | 'degF' }).unit;
  return [
    {
      code: 'fanRestartAboveFanStop',
      severity: 'error',
      settings: ['fans.restartCoilTemperature', 'fans.stopCoilTemperature'],
      message: sentence`The fan restarts at a coil of ${written(restart, unit)} but is stopped above ${written(stop, unit)}: it would be released and stopped again. Restart below the stop.`,
      numbers: { restart, stop },
    },
  ];
};

/** End temperatures that clear the corners, round in either scale: common practice. */
const CORNERS_FROM = { degC: quantity(10, 'degC'), degF: quantity(50, 'degF') } as const;
const CORNERS_TO = { degC: quantity(16, 'degC'), degF: quantity(60, 'degF') } as const;

/** A low end temperature on a freezer leaves ice in the corners. Under 8 °C (46 °F) is common practice's warning. */
const CORNERS_CLEAR_C = 7.5;
export const endTemperatureTooLow: Check = ({ values, unit }) => {
  const end = celsiusOf(values['defrost.endTemperature']);
  if (end === null || !unit || !isFreezer(unit.application) || values['defrost.termination'] === 'time')
    return [];
  if (end >= CORNERS_CLEAR_C) return [];
  const shown = (values['defrost.endTemperature'] as { unit: 'degC' | 'degF' }).unit;
  return [
    {
      code: 'endTemperatureTooLow',
      severity: 'warning',
      settings: ['defrost.endTemperature'],
      message: sentence`Defrost ends at a coil of ${written(end, shown)}: the corners of a freezer coil keep ice that grows from day to day. Start at ${CORNERS_FROM[shown]} to ${CORNERS_TO[shown]}.`,
      numbers: { end },
    },
  ];
};

/** A freezer's coil is full before half a day is over: 12 h at most (common practice: every 3 to 8 h). */
const SELDOM_S = 12 * 3600;

/** A freezer that is cleared less than twice a day. */
export const defrostTooSeldom: Check = ({ values, unit }) => {
  if (!unit || !isFreezer(unit.application)) return [];
  if (values['defrost.method'] === undefined || values['defrost.method'] === 'none') return [];
  if (values['defrost.initiation'] !== 'interval' && values['defrost.initiation'] !== 'coolingTime')
    return [];
  const interval = secondsOf(values, 'defrost.interval');
  if (interval <= SELDOM_S) return [];
  return [
    {
      code: 'defrostTooSeldom',
      severity: 'warning',
      settings: ['defrost.interval'],
      message: `One defrost in ${Math.round(interval / 3600)} h: a freezer’s coil is usually cleared every 3 to 8 h, and what grows in between freezes hard. Shorten the interval.`,
      numbers: { interval },
    },
  ];
};
