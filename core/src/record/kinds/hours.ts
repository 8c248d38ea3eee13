import type { Hours } from '@brine/contract/entries';
import { hourMeterNames } from '../../judgement/transport/index.ts';
import type { KindOfEntry } from './kind.ts';

export const hours: KindOfEntry<Hours> = {
  key: (body) => `hours:${body.meter}`,
  about: (body) => hourMeterNames[body.meter],
  says: (body) => (body.hours === null ? 'removed' : `${body.hours} h`),
};
