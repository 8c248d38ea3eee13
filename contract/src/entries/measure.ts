import { measureIds } from '@brine/core/wiring/kit';
import { atLeastZero, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A length or size measured on site for the kit list, m and mm; 1 for yes. */
export const measure = entry('measure', {
  measure: oneOf(measureIds),
  value: atLeastZero().nullable(),
});

export type Measure = BodyOf<typeof measure>;
