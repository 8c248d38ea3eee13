import { factIds } from '@brine/core/foundation/unit';
import { finite, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** What is measured or known on site for the tools of one kind of job, in the fact’s own unit; null goes back to the usual. */
export const fact = entry('fact', {
  fact: oneOf(factIds),
  value: finite().nullable(),
});

export type Fact = BodyOf<typeof fact>;
