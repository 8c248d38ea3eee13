import { doubtProblem, type DoubtFact } from '@brine/core/wiring/unsure';
import { id, judged } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** What is not sure about the circuit as found; null settles it. */
export const doubt = entry('doubt', {
  id: id(),
  fact: judged<DoubtFact>(doubtProblem).nullable().defined('expected a doubt or null'),
});

export type Doubt = BodyOf<typeof doubt>;
