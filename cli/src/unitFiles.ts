import { isFileProblem } from '@brine/core/foundation/files';
import { readSettingsFile, type SettingValues } from '@brine/core/foundation/settings';
import { readUnit, UNIT_FORMAT, type UnitDescription } from '@brine/core/foundation/unit';
import { Refusal, type Args } from './args.ts';
import { fileRefusal, readJson } from './files.ts';

/** The description of a unit in a file, or a refusal that names the field. */
export function readUnitFile(path: string): UnitDescription {
  const unit = readUnit(readJson(path));
  if (isFileProblem(unit)) throw fileRefusal(path, unit);
  return unit;
}

/** The settings in a file, or a refusal that names the field. */
export function readSettings(path: string): SettingValues {
  const file = readSettingsFile(readJson(path));
  if (isFileProblem(file)) throw fileRefusal(path, file);
  return file.values;
}

/** The unit that `--unit` names. */
export function unitAt(command: string, args: Args): UnitDescription {
  const path = args.options.get('unit')?.at(-1);
  if (path === undefined)
    throw new Refusal(`${command}: --unit: expected a file *.unit.json in ${UNIT_FORMAT}`);
  return readUnitFile(path);
}

/** The settings that `--settings` names. */
export function settingsAt(command: string, args: Args): SettingValues {
  const path = args.options.get('settings')?.at(-1);
  if (path === undefined) throw new Refusal(`${command}: --settings: expected a file *.settings.json`);
  return readSettings(path);
}
