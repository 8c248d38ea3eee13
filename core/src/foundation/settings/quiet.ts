import { isQuantity } from '../quantities/index.ts';
import { settingOf, type SettingId } from './dictionary.ts';
import type { SettingValue } from './value.ts';

/** Choices whose quiet value is not the first one of the dictionary. */
const quietChoices: Readonly<Partial<Record<SettingId, string>>> = {
  'defrost.initiation': 'manual',
  'fans.control': 'always',
  'fans.whileDefrost': 'stop',
};

/** Settings that have no quiet value: a control must be told. */
const withoutQuiet: ReadonlySet<SettingId> = new Set<SettingId>([
  'regulation.setpoint',
  'regulation.setpointMin',
  'regulation.setpointMax',
  'probes.sensorType',
  'condenser.setpoint',
  'condenser.refrigerant',
  'condenser.fanCount',
]);

/**
 * True when a value does what a control does without the setting: durations and offsets 0, flags false, the quiet choice, slope 1.
 * A temperature is never quiet, since a limit without its temperature is no limit.
 */
export function isQuiet(id: SettingId, value: SettingValue): boolean {
  if (withoutQuiet.has(id)) return false;
  const setting = settingOf(id);
  if (setting.kind === 'temperature') return false;
  if (isQuantity(value)) return value.value === 0;
  if (setting.kind === 'ratio') return value === (id.endsWith('Slope') ? 1 : 0);
  if (typeof value === 'number') return value === 0;
  if (typeof value === 'boolean') return !value;
  if (setting.kind === 'choice') return value === (quietChoices[id] ?? setting.choices![0]);
  return Array.isArray(value) && value.length === 0;
}
