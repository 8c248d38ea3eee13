import type { Encoding } from '@brine/core/controllers/definitions';
import type { SettingKind } from '@brine/core/foundation/settings';

/** Keys that a phone offers for a field. Its number pad has no minus on some phones: what may lie below zero gets all keys. */
export type Keypad = 'decimal' | 'text';

/** Keys for a code's value as the display shows it. */
export const keypadOf = (encoding: Encoding | null | undefined): Keypad =>
  encoding?.type === 'number' && encoding.min >= 0 ? 'decimal' : 'text';

/** Amounts that are never below zero and have no colon: temperatures and their offsets do not belong to them. */
const plain: readonly SettingKind[] = ['duration', 'volts', 'percent', 'count'];

/** Keys for an amount of a setting in the reader's unit. */
export const keypadOfKind = (kind: SettingKind): Keypad => (plain.includes(kind) ? 'decimal' : 'text');
