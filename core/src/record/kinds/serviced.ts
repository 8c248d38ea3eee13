import type { Serviced } from '@brine/contract/entries';
import { serviceIntervals } from '../../judgement/transport/index.ts';
import type { KindOfEntry } from './kind.ts';

export const serviced: KindOfEntry<Serviced> = {
  key: (body) => `serviced:${body.service}`,
  about: (body) => `Service: ${serviceIntervals.find((s) => s.id === body.service)?.what ?? body.service}`,
  says: (body) => (body.atHours === null ? 'removed' : `at ${body.atHours} h`),
};
