import { finite, isoTime, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Relative humidity of the room, %, and how the coil looked; null takes it back. */
export const humidity = entry('humidity', {
  readAt: isoTime(),
  percent: finite()
    .moreThan(0, 'expected more than 0, up to 100')
    .max(100, 'expected more than 0, up to 100')
    .nullable(),
  coil: oneOf(['wet', 'dry']).nullable(),
});

export type Humidity = BodyOf<typeof humidity>;
