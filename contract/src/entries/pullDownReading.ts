import { finite, isoTime } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A reading of the air during the pull-down, °C; null takes it back. */
export const pullDownReading = entry('pullDownReading', {
  readAt: isoTime(),
  celsius: finite().nullable(),
});

export type PullDownReading = BodyOf<typeof pullDownReading>;
