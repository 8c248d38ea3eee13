import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { settingOf, type SettingId, type SettingValue } from '../../foundation/settings/index.ts';

/** In what a booklet is in doubt. */
export type DoubtKind = 'options' | 'sign' | 'unit' | 'fact' | 'reference' | 'saving';

/** One thing that a control may mean, with the definition that says so. */
export interface Meaning {
  readonly id: string;
  readonly words: string;
  readonly definition: ControllerDefinition;
}

/** A doubt with all that it may mean; the first is what stands written. */
export interface Doubt {
  readonly id: string;
  readonly kind: DoubtKind;
  /** The code in doubt; null for what no code says. */
  readonly code: string | null;
  readonly setting: SettingId | null;
  readonly words: string;
  readonly meanings: readonly Meaning[];
}

/** What a setting is called. */
export const labelOf = (setting: SettingId): string => settingOf(setting).label;

/** A value as a person says it: yes and no for a flag, the words of a choice. */
export function valueWords(setting: SettingId, value: SettingValue): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return settingOf(setting).choiceLabels?.[String(value)] ?? String(value);
}
