import type { Mechanical } from '@brine/contract/entries';
import { printQuantity } from '../../foundation/quantities/index.ts';
import type { KindOfEntry } from './kind.ts';

export const mechanical: KindOfEntry<Mechanical> = {
  key: () => 'mechanical',
  about: () => 'Mechanical control',
  says: (body) =>
    [
      body.cutIn && `cut-in ${printQuantity(body.cutIn)}`,
      body.cutOut && `cut-out ${printQuantity(body.cutOut)}`,
    ]
      .filter(Boolean)
      .join(', '),
};
