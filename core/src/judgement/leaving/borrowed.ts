import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';

/** What may be borrowed for a proof: a value of the control, or a probe that hangs elsewhere for a while. */
export type Borrowed =
  | { readonly kind: 'value'; readonly setting: SettingId; readonly to: SettingValue }
  | { readonly kind: 'probe'; readonly probe: 'air' | 'coil' };

export const airProbe: Borrowed = { kind: 'probe', probe: 'air' };
export const coilProbe: Borrowed = { kind: 'probe', probe: 'coil' };

const PROBE = 'probe:';

/** The same thing has the same id: it can be out once only. */
export const borrowedId = (one: Borrowed): string =>
  one.kind === 'value' ? `value:${one.setting}` : `${PROBE}${one.probe}`;

/** What a probe that is borrowed under an id is called: “air probe”. */
export const borrowedProbe = (id: string): string => `${id.replace(PROBE, '')} probe`;

/** Something that is out now, and the tests it is borrowed for. */
export interface OutNow {
  readonly id: string;
  readonly tests: readonly string[];
}
