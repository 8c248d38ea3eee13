import type { Planned } from '@brine/contract/entries';
import { isSettingId, printValue, settingOf } from '../../foundation/settings/index.ts';
import type { KindOfEntry } from './kind.ts';

export const planned: KindOfEntry<Planned> = {
  key: (body) => `planned:${body.setting}`,
  about: (body) => `Planned ${isSettingId(body.setting) ? settingOf(body.setting).label : body.setting}`,
  says: (body) =>
    body.value === null
      ? 'as planned'
      : isSettingId(body.setting)
        ? printValue(settingOf(body.setting), body.value)
        : String(body.value),
};
