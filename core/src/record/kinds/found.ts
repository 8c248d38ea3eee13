import type { Found } from '@brine/contract/entries';
import { named } from './named.ts';
import type { KindOfEntry } from './kind.ts';

export const found: KindOfEntry<Found> = {
  key: (body) => `found:${body.code}`,
  about: (body, names) => `Found ${named(body.code, names?.old)}`,
  says: ({ value, over }) => (value === null ? 'removed' : over ? `${value}, read over the bus` : value),
};
