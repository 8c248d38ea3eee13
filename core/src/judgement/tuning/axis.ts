import { switchingBand } from '../../foundation/regulation/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import {
  baseValue,
  dimensionOf,
  isQuantity,
  quantity,
  shownUnit,
  valueIn,
  type Quantity,
  type TemperatureUnit,
} from '../../foundation/quantities/index.ts';
import {
  settingOf,
  soundRange,
  type SettingId,
  type SettingValues,
} from '../../foundation/settings/index.ts';

/** A setting and the values it takes in a sweep. */
export interface Axis {
  readonly setting: SettingId;
  readonly values: readonly Quantity[];
}

const MOST = 14;

/** Where nothing is known of what is sound, this far around the present value, in base units. */
const around: Readonly<Record<string, readonly [number, number]>> = {
  temperature: [-4, 4],
  temperatureDifference: [-2, 4],
  duration: [-0.5, 1],
};

/**
 * Values for a sweep: the range thought sound for the kind of unit, widened to the present value, in whole steps of the display and at most 14. Null for a setting
 * without a quantity to vary.
 */
export function axisFor(
  setting: SettingId,
  unit: UnitDescription,
  values: SettingValues,
  display: TemperatureUnit,
): Axis | null {
  const entry = settingOf(setting);
  const present = values[setting];
  const sound = soundRange(entry, unit.application);
  if (!isQuantity(present) && !sound) return null;
  const unitOf = isQuantity(present) && dimensionOf(present.unit) === 'duration' ? present.unit : null;
  const base = isQuantity(present) ? present : sound!.min;
  const shown =
    unitOf ??
    (sound && dimensionOf(base.unit) === 'duration' ? sound.min.unit : shownUnit(base.unit, display));
  const at = valueIn(base, shown);
  const [low, high] = sound
    ? [Math.min(valueIn(sound.min, shown), at), Math.max(valueIn(sound.max, shown), at)]
    : spanAround(base, at, shown);
  const from = Math.min(low, lowestOf(setting, values, shown) ?? low);
  const step =
    niceSteps(shown).find((size) => (high - from) / size <= MOST - 1) ?? (high - from) / (MOST - 1);
  const first = Math.ceil(from / step - 1e-9) * step;
  const list: number[] = [];
  for (let v = first; v <= high + 1e-9; v += step) list.push(Math.round(v * 1000) / 1000);
  if (isQuantity(present) && !list.some((v) => Math.abs(v - at) < 1e-6))
    list.push(Math.round(at * 1000) / 1000);
  list.sort((a, b) => a - b);
  return { setting, values: list.map((v) => quantity(v, shown)) };
}

function spanAround(base: Quantity, at: number, shown: Quantity['unit']): readonly [number, number] {
  const dimension = dimensionOf(base.unit);
  const [down, up] = around[dimension] ?? [-0.5, 1];
  if (dimension === 'duration') return [Math.max(0, at * (1 + down)), at * (1 + up)];
  const per = shown === 'degF' || shown === 'deltaF' ? 1.8 : 1;
  const low = at + down * per;
  return [dimension === 'temperatureDifference' ? Math.max(0.5 * per, low) : low, at + up * per];
}

/** Steps a technician would key in, finest first. */
function niceSteps(unit: Quantity['unit']): readonly number[] {
  if (unit === 's') return [10, 30, 60, 300];
  if (unit === 'min') return [1, 2, 5, 10, 15, 30];
  if (unit === 'K') return [0.5, 1, 2];
  return [1, 2, 3, 5];
}

/** Alarms are swept from just outside the band and from short delays, wherever the usual range begins. */
function lowestOf(setting: SettingId, values: SettingValues, shown: Quantity['unit']): number | null {
  const band = switchingBand(values);
  if (setting === 'alarms.delay') return valueIn(quantity(5, 'min'), shown);
  if (!band) return null;
  const top = Math.max(band.cutIn, band.cutOut) + 1;
  if (setting === 'alarms.highTemperature') return valueIn(quantity(top, 'degC'), shown);
  return setting === 'alarms.highOffset' ? valueIn(quantity(top - band.setpoint, 'K'), shown) : null;
}

/** All combinations of the axes, in their order. */
export function combinations(axes: readonly Axis[]): readonly SettingValues[] {
  return axes.reduce<readonly SettingValues[]>(
    (list, { setting, values }) =>
      list.flatMap((chosen) => values.map((value) => ({ ...chosen, [setting]: value }))),
    [{}],
  );
}

/** How far a variant lies from what is set, in steps of its axes. */
export function stepsFrom(values: SettingValues, variant: SettingValues, axes: readonly Axis[]): number {
  return axes.reduce((sum, { setting, values: list }) => {
    const present = values[setting];
    const place = (q: unknown) =>
      isQuantity(q) ? list.findIndex((v) => baseValue(v) >= baseValue(q) - 1e-9) : -1;
    return sum + Math.abs(place(variant[setting]) - place(present));
  }, 0);
}
