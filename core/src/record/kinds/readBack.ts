import type { ReadBack } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const readBack: KindOfEntry<ReadBack> = {
  key: () => null,
  about: () => 'What the control kept',
  says: ({ read, lost }) =>
    `${read.length === 0 ? 'nothing had to be read' : `read ${read.map(({ code, shown }) => `${code} ${shown}`).join(', ')}`}; ${lost.length === 0 ? 'all of it is there' : `to be keyed anew: ${lost.join(', ')}`}`,
};
