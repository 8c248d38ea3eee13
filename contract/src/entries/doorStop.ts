import { atLeastZero, isoTime } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Minutes that the doors stood open at a stop; null takes it back. */
export const doorStop = entry('doorStop', {
  openedAt: isoTime(),
  minutes: atLeastZero().nullable(),
});

export type DoorStop = BodyOf<typeof doorStop>;
