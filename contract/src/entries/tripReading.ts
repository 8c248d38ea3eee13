import { finite, isoTime, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A reading on the way, °C; null takes it back. */
export const tripReading = entry('tripReading', {
  readAt: isoTime(),
  place: oneOf(['return', 'product']),
  celsius: finite().nullable(),
});

export type TripReading = BodyOf<typeof tripReading>;
