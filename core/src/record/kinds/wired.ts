import type { Wired } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const wired: KindOfEntry<Wired> = {
  key: (body) => `wired:${body.wire}`,
  about: (body) => `Wire ${body.wire}`,
  says: (body) => (body.done ? 'done' : 'open'),
};
