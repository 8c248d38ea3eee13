import { code } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** The typical or empty circuit that tracing began from. */
export const startedFrom = entry('startedFrom', {
  conversion: code().nullable(),
});

export type StartedFrom = BodyOf<typeof startedFrom>;
