import type { SignOff } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const signOff: KindOfEntry<SignOff> = {
  key: () => 'signOff',
  about: () => 'Signed off',
  says: (body) => body.name || 'removed',
};
