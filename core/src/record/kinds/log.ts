import type { Log } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const log: KindOfEntry<Log> = {
  key: (body) => `log:${body.id}`,
  about: () => 'Log',
  says: (body) => (body.layout ? `${body.name}, ${body.samples} rows` : 'removed'),
};
