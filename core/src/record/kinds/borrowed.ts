import type { Borrowed } from '@brine/contract/entries';
import { isSettingId, printValue, settingOf } from '../../foundation/settings/index.ts';
import { borrowedProbe } from '../../judgement/leaving/index.ts';
import type { KindOfEntry } from './kind.ts';

export const borrowed: KindOfEntry<Borrowed> = {
  key: (body) => `borrowed:${body.id}`,
  about: ({ id, setting }) =>
    `Borrowed: ${setting !== null && isSettingId(setting) ? settingOf(setting).label : borrowedProbe(id)}`,
  says: ({ setting, to, since, shown }) => {
    const what = setting !== null && to !== null ? printValue(settingOf(setting), to) : 'out of its place';
    return since === null ? `back${shown ? `, the display showed ${shown}` : ''}` : what;
  },
};
