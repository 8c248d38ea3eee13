import { alarmLimits } from '../../foundation/regulation/index.ts';
import { bandOf, controlConfig, type ControlConfig } from '../../machines/box/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { KnownSettings } from '../analysis/index.ts';

/** Settings as a control runs on them, or null where they do not even name a set point and a differential. */
export function configOf(values: SettingValues): ControlConfig | null {
  const config = controlConfig(values);
  return typeof config === 'string' ? null : config;
}

/** What of the settings an analysis uses, as far as they say it. Limits of a relative alarm are brought to degrees. */
export function knownOf(values: SettingValues): KnownSettings {
  const number = (id: SettingId): number | null => {
    const value = values[id];
    return isQuantity(value) ? baseValue(value) : null;
  };
  const limits = alarmLimits(values, 'absolute');
  const byTemperature = values['defrost.termination'] !== 'time';
  return {
    endTemperature: byTemperature ? number('defrost.endTemperature') : null,
    maxDuration: number('defrost.maxDuration'),
    drain: number('defrost.drainTime'),
    highLimit: limits.high,
    lowLimit: limits.low,
  };
}

/** Where the settings say that it cuts in and out, °C. */
export const plannedBand = (config: ControlConfig) => bandOf(config.stage, config.setpoint);
