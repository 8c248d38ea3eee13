import { readHeader, type FileProblem } from '../files/index.ts';
import type { SettingValues } from './value.ts';

export const SETTINGS_FORMAT = 'brine-dial/settings@1';

/** A settings file. Fields this version does not know are kept on a round trip. */
export interface SettingsFile {
  readonly format: typeof SETTINGS_FORMAT;
  readonly values: SettingValues;
}

/** Wraps values for a file. */
export function settingsFile(values: SettingValues): SettingsFile {
  return { format: SETTINGS_FORMAT, values };
}

/**
 * Reads a parsed settings file. The shape is required; single values are judged by `validateSet`, so that one bad value does not hide
 * the others. A newer major version is refused.
 */
export function readSettingsFile(data: unknown): SettingsFile | FileProblem {
  const header = readHeader(data, 'brine-dial/settings', 1);
  if ('problem' in header) return header;
  const { values } = header.data as { values?: unknown };
  if (typeof values !== 'object' || values === null || Array.isArray(values))
    return { problem: true, field: 'values', message: 'expected an object from setting ids to values' };
  return header.data as unknown as SettingsFile;
}
