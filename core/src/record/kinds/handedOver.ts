import type { HandedOver } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const handedOver: KindOfEntry<HandedOver> = {
  key: () => 'handedOver',
  about: () => 'Handed over',
  says: (body) => `to ${body.to || 'the site'}`,
};
