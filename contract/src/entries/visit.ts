import { atLeastZero, isoTime } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** How long somebody has at the unit, from when on; null: no visit is planned. */
export const visit = entry('visit', {
  startedAt: isoTime().nullable(),
  minutes: atLeastZero(),
});

export type Visit = BodyOf<typeof visit>;
