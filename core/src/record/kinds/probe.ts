import type { Probe } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const probe: KindOfEntry<Probe> = {
  key: (body) => `probe:${body.id}`,
  about: (body) => `Probe, ${body.role}`,
  says: (body) => body.sensor ?? `${body.readings.length} readings`,
};
