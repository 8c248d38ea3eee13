import { tripStepIds } from '@brine/core/judgement/transport';
import { anyText, finite, oneOf, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A step of a delivery trip: done, or at fault. */
export const tripStep = entry('tripStep', {
  step: oneOf(tripStepIds),
  state: oneOf(['done', 'fault']).nullable(),
  value: finite().nullable(),
  word: anyText(LONGEST_TEXT),
});

export type TripStep = BodyOf<typeof tripStep>;
