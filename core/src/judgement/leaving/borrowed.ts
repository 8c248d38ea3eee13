import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';

/** What may be borrowed for a proof: a value of the control, or a probe that hangs elsewhere for a while. */
export type Borrowed =
  | { readonly kind: 'value'; readonly setting: SettingId; readonly to: SettingValue }
  | { readonly kind: 'probe'; readonly probe: 'air' | 'coil' };

/** The same thing has the same id: it can be out once only. */
export const borrowedId = (one: Borrowed): string =>
  one.kind === 'value' ? `value:${one.setting}` : `probe:${one.probe}`;
