import { baseValue, type TemperatureUnit } from '../quantities/index.ts';
import { placeBand, placementOf } from './placement.ts';
import { isDifference, isTemperature } from './values.ts';
import type { SettingId, SettingValues } from '../settings/index.ts';

/** The two temperatures a control switches at, °C, and the unit the set point was typed in. */
export interface SwitchingBand {
  readonly setpoint: number;
  readonly cutOut: number;
  readonly cutIn: number;
  readonly unit: TemperatureUnit;
}

/**
 * Cut-out and cut-in of the first stage: set 38 with 5 above it restarts at 43. Heating mirrors cooling. Null without set point or
 * differential (or with a differential that is no difference).
 */
export function switchingBand(
  values: SettingValues,
  setpoint: SettingId = 'regulation.setpoint',
): SwitchingBand | null {
  const s = values[setpoint];
  const d = values['regulation.differential'];
  if (!isTemperature(s) || !isDifference(d)) return null;
  const heats = values['regulation.action'] === 'heat';
  const width = baseValue(d);
  const point = baseValue(s);
  const { cutOut, cutIn } = placeBand(
    point,
    width,
    placementOf(values['regulation.differentialPlacement']),
    heats,
  );
  return {
    setpoint: point,
    cutOut,
    cutIn,
    unit: s.unit as TemperatureUnit,
  };
}
