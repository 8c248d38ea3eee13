import type { Learned } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const learned: KindOfEntry<Learned> = {
  key: () => 'learned',
  about: () => 'The unit’s own box',
  says: (body) => (body.box ? `learned from ${body.name}` : 'forgotten'),
};
