import type { PullDown } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const pullDown: KindOfEntry<PullDown> = {
  key: () => 'pullDown',
  about: () => 'Pull-down',
  says: (body) => (body.startedAt ? 'started' : 'cleared'),
};
