export { alarmCauses, type AlarmCause } from './alarmCause.ts';
export {
  type Application,
  applicationNames,
  applications,
  isApplication,
  isFreezer,
  isHeated,
  isMachine,
  type Machine,
  soundRange,
} from './applications.ts';
export type { SettingKind, SoundRange } from './define.ts';
export {
  dictionary,
  findSetting,
  isSettingId,
  type Setting,
  type SettingId,
  settingOf,
} from './dictionary.ts';
export { readSettingsFile, settingsFile } from './file.ts';
export { settingGroup } from './groupNames.ts';
export { isQuiet } from './quiet.ts';
export { sameValue } from './sameValue.ts';
export { validateSet, validateValue } from './validate.ts';
export { printValue, type SettingValue, type SettingValues } from './value.ts';
