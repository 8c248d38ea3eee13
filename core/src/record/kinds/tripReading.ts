import type { TripReading } from '@brine/contract/entries';
import { printQuantity, quantity } from '../../foundation/quantities/index.ts';
import type { KindOfEntry } from './kind.ts';

export const tripReading: KindOfEntry<TripReading> = {
  key: (body) => `tripReading:${body.place}:${body.readAt}`,
  about: (body) => (body.place === 'return' ? 'Trip, return air' : 'Trip, product'),
  says: (body) => (body.celsius === null ? 'removed' : printQuantity(quantity(body.celsius, 'degC'))),
};
