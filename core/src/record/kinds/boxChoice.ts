import type { BoxChoice } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const boxChoice: KindOfEntry<BoxChoice> = {
  key: () => 'boxChoice',
  about: () => 'Box to forecast with',
  says: ({ use, why }) =>
    `${use === 'own' ? 'the unit’s own' : 'the usual of its kind'}${why === '' ? '' : `: ${why}`}`,
};
