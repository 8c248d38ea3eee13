import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { SettingId, SettingValues } from '@brine/core/foundation/settings';
import { twoBands, type TwoBands } from '@brine/core/judgement/tools';
import { controlConfig } from '@brine/core/machines/box';
import { signed, typed } from './typedValues.ts';

/** The second stage where it is a thermostat: its band, and what moves it. */
export function secondStage(values: SettingValues): {
  readonly band: TwoBands['second'];
  readonly moves: SettingId;
  readonly shifted: (kelvins: number, unit: TemperatureUnit) => SettingValues;
} | null {
  const config = controlConfig(values);
  const bands = typeof config === 'string' ? null : twoBands(config);
  if (!bands || typeof config === 'string') return null;
  const { setpoint, offset } = config.stage2;
  return {
    band: bands.second,
    moves: setpoint === null ? 'stage2.offset' : 'stage2.setpoint',
    shifted: (kelvins, unit) =>
      setpoint === null
        ? { 'stage2.offset': signed(offset + kelvins, unit) }
        : { 'stage2.setpoint': typed(setpoint + kelvins, unit) },
  };
}
