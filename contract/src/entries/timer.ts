import { id, isoTime } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A test’s timer started, or cleared. */
export const timer = entry('timer', {
  test: id(),
  startedAt: isoTime().nullable(),
});

export type Timer = BodyOf<typeof timer>;
