import type { Measure } from '@brine/contract/entries';
import { measureNames } from '../../wiring/kit/index.ts';
import type { KindOfEntry } from './kind.ts';

export const measure: KindOfEntry<Measure> = {
  key: (body) => `measure:${body.measure}`,
  about: (body) => `Measured, ${measureNames[body.measure]}`,
  says: (body) => (body.value === null ? 'not stated' : String(body.value)),
};
