import type { Learned } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const learned: KindOfEntry<Learned> = {
  // Each adds to what is known of the unit: what was learned before stays beside it.
  key: () => null,
  about: () => 'The unit’s own box',
  says: (body) => (body.box ? `learned from ${body.name}` : 'forgotten'),
};
