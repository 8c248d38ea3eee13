import type { Timer } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const timer: KindOfEntry<Timer> = {
  key: (body) => `timer:${body.test}`,
  about: (body) => `Timer of ${body.test}`,
  says: (body) => (body.startedAt ? 'started' : 'cleared'),
};
