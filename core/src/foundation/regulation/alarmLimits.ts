import { baseValue } from '../quantities/index.ts';
import type { SettingValues } from '../settings/index.ts';
import { celsiusOf, isDifference } from './values.ts';

/** Limits of the alarms, °C; null where there is none. */
export interface AlarmLimits {
  readonly high: number | null;
  readonly low: number | null;
}

const NONE: AlarmLimits = { high: null, low: null };

/**
 * Alarm limits in °C, whichever way they are given. `unstated`: how limits count whose reference nobody stated; as none for a control
 * that runs on these settings, as degrees for a list that somebody copied.
 */
export function alarmLimits(values: SettingValues, unstated: 'none' | 'absolute' = 'none'): AlarmLimits {
  const reference = values['alarms.reference'] ?? unstated;
  if (reference === 'absolute')
    return {
      high: celsiusOf(values['alarms.highTemperature']),
      low: celsiusOf(values['alarms.lowTemperature']),
    };
  const setpoint = celsiusOf(values['regulation.setpoint']);
  if (reference !== 'relative' || setpoint === null) return NONE;
  const [up, down] = [values['alarms.highOffset'], values['alarms.lowOffset']];
  return {
    high: isDifference(up) ? setpoint + baseValue(up) : null,
    low: isDifference(down) ? setpoint - baseValue(down) : null,
  };
}
