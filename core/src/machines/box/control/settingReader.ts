import { baseValue, isQuantity } from '../../../foundation/quantities/index.ts';
import type { SettingId, SettingValue, SettingValues } from '../../../foundation/settings/index.ts';

/** Reads settings as a machine computes with them. */
export type SettingReader = ReturnType<typeof settingReader>;

/** Amounts in °C, K, seconds or bare numbers; words and flags with their quiet choice where absent. */
export function settingReader(values: SettingValues) {
  const value = (id: SettingId): SettingValue | undefined => values[id];
  /** °C, K, seconds or a bare number; null where absent. */
  const amount = (id: SettingId): number | null => {
    const found = value(id);
    if (isQuantity(found)) return baseValue(found);
    return typeof found === 'number' && Number.isFinite(found) ? found : null;
  };
  return {
    amount,
    number: (id: SettingId) => amount(id) ?? 0,
    flag: (id: SettingId) => value(id) === true,
    word: (id: SettingId, quiet: string) => {
      const found = value(id);
      return typeof found === 'string' ? found : quiet;
    },
    /** Seconds since midnight, or null where absent. */
    clock: (id: SettingId): number | null => {
      const found = value(id);
      return typeof found === 'string' && /^\d{1,2}:\d{2}/.test(found) ? secondsOfDay(found) : null;
    },
    clockTimes: (id: SettingId) => {
      const found = value(id);
      return (Array.isArray(found) ? (found as readonly string[]) : [])
        .map(secondsOfDay)
        .sort((a, b) => a - b);
    },
  };
}

/** Seconds since midnight of "06:30". */
export function secondsOfDay(clock: string): number {
  const [h = '0', m = '0', s = '0'] = clock.split(':');
  return Number(h) * 3600 + Number(m) * 60 + Number(s);
}
