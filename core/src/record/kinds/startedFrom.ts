import type { StartedFrom } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const startedFrom: KindOfEntry<StartedFrom> = {
  key: () => 'startedFrom',
  about: () => 'Traced from',
  says: (body) => body.conversion ?? 'nothing',
};
