import {
  baseValue,
  isQuantity,
  quantity,
  valueIn,
  type Quantity,
  type TemperatureUnit,
} from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';

/** The two temperatures a control switches at, °C, and the unit the set point was typed in. */
export interface SwitchingBand {
  readonly setpoint: number;
  readonly cutOut: number;
  readonly cutIn: number;
  readonly unit: TemperatureUnit;
}

/** Shares of the differential that lie below the set point, for cooling. */
const below: Readonly<Record<string, number>> = {
  setpointIsCutOut: 0,
  setpointIsMiddle: 0.5,
  setpointIsCutIn: 1,
};

/** Where a stage stops, °C: by its set point, its width in K, where the band lies about the set point, and whether it heats. */
export function cutOutOf(point: number, width: number, placement: unknown, heats: boolean): number {
  const share = below[typeof placement === 'string' ? placement : 'setpointIsCutOut'] ?? 0;
  return heats ? point + share * width : point - share * width;
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
  const cutOut = cutOutOf(point, width, values['regulation.differentialPlacement'], heats);
  return {
    setpoint: point,
    cutOut,
    cutIn: heats ? cutOut - width : cutOut + width,
    unit: s.unit as TemperatureUnit,
  };
}

/** Alarm limits in °C, whichever way they are given; null where there is none. */
export function alarmLimits(values: SettingValues): {
  readonly high: number | null;
  readonly low: number | null;
} {
  const reference = values['alarms.reference'];
  const s = values['regulation.setpoint'];
  if (reference === 'absolute')
    return {
      high: celsiusOf(values['alarms.highTemperature']),
      low: celsiusOf(values['alarms.lowTemperature']),
    };
  if (reference !== 'relative' || !isTemperature(s)) return { high: null, low: null };
  const [up, down] = [values['alarms.highOffset'], values['alarms.lowOffset']];
  return {
    high: isDifference(up) ? baseValue(s) + baseValue(up) : null,
    low: isDifference(down) ? baseValue(s) - baseValue(down) : null,
  };
}

/** °C of a temperature value, or null. */
export function celsiusOf(value: unknown): number | null {
  return isTemperature(value) ? baseValue(value) : null;
}

/** Seconds of a duration value; an absent one is 0, the quiet choice. */
export function secondsOf(values: SettingValues, id: SettingId): number {
  const value = values[id];
  return isQuantity(value) && ['s', 'min', 'h'].includes(value.unit) ? baseValue(value) : 0;
}

/** A temperature in °C as a quantity in the unit the technician typed, for sentences. */
export function written(celsius: number, unit: TemperatureUnit): Quantity {
  return quantity(Math.round(valueIn(quantity(celsius, 'degC'), unit) * 10) / 10, unit);
}

/** A difference in K likewise. */
export function writtenDifference(kelvins: number, unit: TemperatureUnit): Quantity {
  const wide = unit === 'degF' ? 'deltaF' : 'K';
  return quantity(Math.round(valueIn(quantity(kelvins, 'K'), wide) * 10) / 10, wide);
}

function isTemperature(value: unknown): value is Quantity {
  return isQuantity(value) && (value.unit === 'degC' || value.unit === 'degF');
}

function isDifference(value: unknown): value is Quantity {
  return isQuantity(value) && (value.unit === 'K' || value.unit === 'deltaF');
}
