import { hourMeters } from '@brine/core/judgement/transport';
import { atLeastZero, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** What an hour meter shows; null takes it back. */
export const hours = entry('hours', {
  meter: oneOf(hourMeters),
  hours: atLeastZero().nullable(),
});

export type Hours = BodyOf<typeof hours>;
