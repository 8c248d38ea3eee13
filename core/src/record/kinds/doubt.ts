import type { Doubt } from '@brine/contract/entries';
import { doubtWords } from '../../wiring/unsure/index.ts';
import type { KindOfEntry } from './kind.ts';

export const doubt: KindOfEntry<Doubt> = {
  key: (body) => `doubt:${body.id}`,
  about: () => 'Not sure',
  says: (body) => (body.fact ? doubtWords(body.fact) : 'settled'),
};
