import type { AlarmSign } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const alarmSign: KindOfEntry<AlarmSign> = {
  key: (body) => `alarmSign:${body.alarm}`,
  about: () => 'Sign of the alarm',
  says: (body) => body.sign ?? 'not stated',
};
