import type { DoorStop } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const doorStop: KindOfEntry<DoorStop> = {
  key: (body) => `doorStop:${body.openedAt}`,
  about: () => 'Trip, doors open',
  says: (body) => (body.minutes === null ? 'removed' : `${body.minutes} min open`),
};
