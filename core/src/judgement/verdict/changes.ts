import { baseValue, isQuantity, quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';

/** A quantity moved by steps of its own display: degrees, minutes, hours. */
export const moved = (
  values: SettingValues,
  id: SettingId,
  by: readonly number[],
): readonly SettingValues[] => {
  const value = values[id];
  if (!isQuantity(value)) return [];
  const factor = value.unit === 'degF' || value.unit === 'deltaF' ? 2 : 1;
  return by.map((step) => ({
    [id]: quantity(Math.round(value.value * 100) / 100 + step * factor, value.unit),
  }));
};

/** How many of a unit a minute is. */
const perMinute: Readonly<Partial<Record<string, number>>> = { s: 60, min: 1, h: 1 / 60 };

/** A duration lengthened by minutes, in its own unit. */
export const longer = (
  values: SettingValues,
  id: SettingId,
  by: readonly number[],
): readonly SettingValues[] => {
  const value = values[id];
  const present = isQuantity(value) ? value : quantity(0, 'min');
  const perUnit = perMinute[present.unit] ?? 1;
  return by.map((step) => ({
    [id]: quantity(Math.round((present.value + step * perUnit) * 1000) / 1000, present.unit),
  }));
};

/** Every pair of two changes at once. */
export const both = (
  one: readonly SettingValues[],
  two: readonly SettingValues[],
): readonly SettingValues[] => one.flatMap((a) => two.map((b) => ({ ...a, ...b })));

/** Off-cycle defrost where none was set, every so many hours. */
const offCycle = (hours: number): SettingValues => ({
  'defrost.method': 'offCycle',
  'defrost.initiation': 'interval',
  'defrost.interval': quantity(hours, 'h'),
  'defrost.termination': 'time',
  'defrost.maxDuration': quantity(30, 'min'),
  'defrost.drainTime': quantity(2, 'min'),
  'fans.whileDefrost': 'run',
});

/** Never more than one defrost in two hours. */
const longEnough = (change: SettingValues): boolean => {
  const interval = change['defrost.interval'];
  return isQuantity(interval) && baseValue(interval) >= 7200;
};

/** What clears a coil better: warmer, longer, more often. */
export function clearingChanges(v: SettingValues): readonly SettingValues[] {
  const method = v['defrost.method'];
  if (method === undefined || method === 'none') return [offCycle(6), offCycle(4)];
  return [
    ...(v['fans.whileDefrost'] === 'stop' && method === 'offCycle' ? [{ 'fans.whileDefrost': 'run' }] : []),
    ...moved(v, 'defrost.endTemperature', [3, 6, 9]),
    ...longer(v, 'defrost.maxDuration', [10, 20]),
    ...both(moved(v, 'defrost.endTemperature', [3, 6, 9]), longer(v, 'defrost.maxDuration', [10, 20, 30])),
    ...longer(v, 'defrost.interval', [-60, -120, -240]).filter(longEnough),
    ...both(
      longer(v, 'defrost.interval', [-120, -240]).filter(longEnough),
      longer(v, 'defrost.maxDuration', [10, 20]),
    ),
  ];
}

/** The high alarm moved, whichever way it is given. */
export function limitMoved(v: SettingValues, by: readonly number[]): readonly SettingValues[] {
  const up = v['alarms.reference'] === 'relative' ? 'alarms.highOffset' : 'alarms.highTemperature';
  return moved(v, up, by);
}
