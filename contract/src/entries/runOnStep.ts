import { atLeastZero, isoTime } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** The fans’ run-on set to so many minutes; null takes it back. */
export const runOnStep = entry('runOnStep', {
  doneAt: isoTime(),
  minutes: atLeastZero().nullable(),
});

export type RunOnStep = BodyOf<typeof runOnStep>;
