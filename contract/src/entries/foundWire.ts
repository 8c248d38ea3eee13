import { wireProblem, type Wire } from '@brine/core/wiring/circuit';
import { id, judged } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A wire as found; null takes it away. */
export const foundWire = entry('foundWire', {
  id: id(),
  wire: judged<Wire>(wireProblem).nullable().defined('expected a wire or null'),
});

export type FoundWire = BodyOf<typeof foundWire>;
