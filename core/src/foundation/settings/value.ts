import {
  isQuantity,
  printFor,
  printQuantity,
  type Quantity,
  type TemperatureUnit,
} from '../quantities/index.ts';
import type { Setting, SettingId } from './dictionary.ts';

/**
 * A setting's value as it stands in files: a quantity, a flag, a bare number (count, ratio), a word (choice, clock time) or a list of
 * clock times.
 */
export type SettingValue = Quantity | boolean | number | string | readonly string[];

/** A set of values. An absent setting is unknown, or the quiet choice where a control must run on it. */
export type SettingValues = Readonly<Partial<Record<SettingId, SettingValue>>>;

/** A value in words: `5 dF`, `yes`, `electric heater`, `02:00, 14:00`. With `display`, temperatures follow the reader's unit. */
export function printValue(setting: Setting, value: SettingValue, display?: TemperatureUnit): string {
  if (isQuantity(value)) return display ? printFor(value, display) : printQuantity(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return setting.choiceLabels?.[value] ?? value;
  if (typeof value === 'number') return String(value);
  return value.join(', ');
}
