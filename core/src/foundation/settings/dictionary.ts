import type { SettingEntry } from './define.ts';
import { alarms } from './groups/alarms.ts';
import { compressor } from './groups/compressor.ts';
import { condenser } from './groups/condenser.ts';
import { defrost } from './groups/defrost.ts';
import { fans } from './groups/fans.ts';
import { panelAndMemory } from './groups/panelAndMemory.ts';
import { probes } from './groups/probes.ts';
import { regulation } from './groups/regulation.ts';
import { stage2 } from './groups/stage2.ts';
import { transportAndMeter } from './groups/transportAndMeter.ts';

const entries = {
  ...regulation,
  ...stage2,
  ...compressor,
  ...defrost,
  ...fans,
  ...alarms,
  ...probes,
  ...panelAndMemory,
  ...condenser,
  ...transportAndMeter,
};

/** Every setting a controller can hold, by the project's own ids. */
export type SettingId = keyof typeof entries;

/** A dictionary entry with its id. */
export interface Setting extends SettingEntry {
  readonly id: SettingId;
}

const byId: ReadonlyMap<string, Setting> = new Map(
  (Object.keys(entries) as SettingId[]).map((id) => [id, { id, ...(entries[id] as SettingEntry) }]),
);

/** The whole dictionary, grouped as the stations show it. */
export const dictionary: readonly Setting[] = [...byId.values()];

/** True for an id of the dictionary. */
export function isSettingId(id: unknown): id is SettingId {
  return typeof id === 'string' && byId.has(id);
}

/** The entry of a setting. */
export function settingOf(id: SettingId): Setting {
  return byId.get(id)!;
}

/** The entry for an id read from a file, or undefined. */
export function findSetting(id: string): Setting | undefined {
  return byId.get(id);
}
