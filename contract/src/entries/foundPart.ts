import { partProblem, type Part } from '@brine/core/wiring/circuit';
import { id, judged } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A part of the circuit as found; null takes it away. */
export const foundPart = entry('foundPart', {
  id: id(),
  part: judged<Part>(partProblem).nullable().defined('expected a part or null'),
});

export type FoundPart = BodyOf<typeof foundPart>;
