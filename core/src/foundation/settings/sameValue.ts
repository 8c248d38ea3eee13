import { isQuantity, sameQuantity } from '../quantities/index.ts';
import type { SettingValue } from './value.ts';

/** True when two values mean the same, quantities within 1e-6 of their base unit: 36 °F is 2.2222… °C. */
export function sameValue(a: SettingValue | undefined, b: SettingValue | undefined): boolean {
  if (a === undefined || b === undefined) return a === b;
  if (isQuantity(a) && isQuantity(b)) return sameQuantity(a, b);
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) <= 1e-9;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((time, i) => time === b[i]);
  return a === b;
}
