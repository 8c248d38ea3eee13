import { id } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Colour and gauge chosen for a wire of the plan. */
export const planWire = entry('planWire', {
  wire: id(),
  colour: id().nullable(),
  gauge: id().nullable(),
});

export type PlanWire = BodyOf<typeof planWire>;
