import type { Picture } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const picture: KindOfEntry<Picture> = {
  key: (body) => `picture:${body.id}`,
  about: () => 'Picture',
  says: (body) => (body.gone ? 'removed' : body.caption || 'no caption'),
};
