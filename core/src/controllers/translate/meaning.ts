import type { SettingId, SettingValue, SettingValues } from '../../foundation/settings/index.ts';

/**
 * The source's meaning on its way to a target: what is to be encoded, what was recomputed so that the unit behaves the same (with the
 * sentence that says how), what was used up by a conversion, and what cannot be brought over.
 */
export interface Meaning {
  readonly values: SettingValues;
  readonly recomputed: ReadonlyMap<SettingId, string>;
  readonly converted: ReadonlySet<SettingId>;
  readonly lost: ReadonlyMap<SettingId, string>;
  /** Said beside a value that is copied as it stands, where copying it has a consequence. */
  readonly remarks: ReadonlyMap<SettingId, string>;
}

/** A meaning nothing was done to yet. */
export function untouched(values: SettingValues): Meaning {
  return { values, recomputed: new Map(), converted: new Set(), lost: new Map(), remarks: new Map() };
}

/** Changes to a meaning: `undefined` as a value takes the setting out. */
export interface Change {
  readonly set?: Readonly<Partial<Record<SettingId, SettingValue | undefined>>>;
  readonly recomputed?: Readonly<Partial<Record<SettingId, string>>>;
  readonly converted?: readonly SettingId[];
  readonly lost?: Readonly<Partial<Record<SettingId, string>>>;
  readonly remarks?: Readonly<Partial<Record<SettingId, string>>>;
}

/** A meaning with a change applied. */
export function changed(meaning: Meaning, change: Change): Meaning {
  const values = Object.fromEntries(
    Object.entries({ ...meaning.values, ...change.set } as Record<string, unknown>).filter(
      ([, value]) => value !== undefined,
    ),
  ) as SettingValues;
  return {
    values,
    recomputed: new Map([...meaning.recomputed, ...entries(change.recomputed)]),
    converted: new Set([...meaning.converted, ...(change.converted ?? [])]),
    lost: new Map([...meaning.lost, ...entries(change.lost)]),
    remarks: new Map([...meaning.remarks, ...entries(change.remarks)]),
  };
}

function entries(part: Readonly<Partial<Record<SettingId, string>>> | undefined): [SettingId, string][] {
  return Object.entries(part ?? {}) as [SettingId, string][];
}
