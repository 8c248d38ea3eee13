import type { Visit } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const visit: KindOfEntry<Visit> = {
  key: () => 'visit',
  about: () => 'Time at the unit',
  says: (body) => (body.startedAt ? `${body.minutes} min` : 'no longer planned'),
};
