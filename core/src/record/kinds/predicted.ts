import type { Predicted } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const predicted: KindOfEntry<Predicted> = {
  key: () => 'predicted',
  about: () => 'Prediction',
  says: ({ figures }) =>
    figures.length === 0 ? 'taken back' : `${figures.length} figures of the coming days`,
};
