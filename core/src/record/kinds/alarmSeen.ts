import type { AlarmSeen } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const alarmSeen: KindOfEntry<AlarmSeen> = {
  key: (body) => `alarmSeen:${body.id}`,
  about: () => 'Alarm',
  says: (body) => [body.code, body.words, body.cleared ? 'cleared' : ''].filter(Boolean).join(', '),
};
