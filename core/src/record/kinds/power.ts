import type { Power } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const power: KindOfEntry<Power> = {
  key: (body) => `power:${body.state}`,
  about: () => 'The cabinet',
  says: (body) => (body.state === 'lockedOut' ? 'locked out, proven dead' : 'energised again'),
};
