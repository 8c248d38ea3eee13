import type { PullDownReading } from '@brine/contract/entries';
import { printQuantity, quantity } from '../../foundation/quantities/index.ts';
import type { KindOfEntry } from './kind.ts';

export const pullDownReading: KindOfEntry<PullDownReading> = {
  key: (body) => `pullDownReading:${body.readAt}`,
  about: () => 'Pull-down, air',
  says: (body) => (body.celsius === null ? 'removed' : printQuantity(quantity(body.celsius, 'degC'))),
};
