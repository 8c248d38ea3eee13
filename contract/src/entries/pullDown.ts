import { isoTime } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** The pull-down started, or cleared. */
export const pullDown = entry('pullDown', {
  startedAt: isoTime().nullable(),
});

export type PullDown = BodyOf<typeof pullDown>;
