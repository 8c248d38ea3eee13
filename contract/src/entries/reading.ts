import { placeProblem, type Place } from '@brine/core/wiring/readings';
import { atLeastZero, judged, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A reading of the meter on the circuit as found or as planned; null takes it back. */
export const reading = entry('reading', {
  circuit: oneOf(['found', 'plan']),
  place: judged<Place>(placeProblem).defined('expected a place for the meter'),
  value: atLeastZero().nullable(),
});

export type Reading = BodyOf<typeof reading>;
