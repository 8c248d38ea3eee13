import { serviceIntervals } from '@brine/core/judgement/transport';
import { atLeastZero, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A service done, at so many hours; null takes it back. */
export const serviced = entry('serviced', {
  service: oneOf(serviceIntervals.map((s) => s.id)),
  atHours: atLeastZero().nullable(),
});

export type Serviced = BodyOf<typeof serviced>;
