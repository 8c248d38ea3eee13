import type { Encoding } from '@brine/core/controllers/definitions';
import type { SettingId, SettingValue } from '@brine/core/foundation/settings';

/** What an answer of the control is written down with. */
export interface WritesDown {
  readonly rows: {
    readonly value: readonly {
      readonly key: string;
      readonly code: string;
      readonly omitted: boolean;
      readonly setting: SettingId | null;
    }[];
  };
  readonly say: (key: string, value: string, means: string | boolean) => unknown;
  readonly mend: (key: string, part: { readonly unit: string }) => unknown;
  readonly decide: (key: string, setting: SettingId) => unknown;
  readonly signAs: (key: string, encoding: Encoding | undefined) => unknown;
  readonly sayBuiltIn: (values: Readonly<Partial<Record<SettingId, SettingValue>>>) => unknown;
  readonly savesOnLeaving: (saves: boolean) => unknown;
}
