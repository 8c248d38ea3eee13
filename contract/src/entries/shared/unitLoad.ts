import { object } from 'yup';
import { anyText, code, LONGEST_ID, positive } from '../../fields/index.ts';

/** A load of the unit's plate: watts or amps, volts, phases; locked rotor amps where the plate has them. */
export const unitLoadField = object({
  role: code(),
  name: anyText(LONGEST_ID).optional(),
  watts: positive().optional(),
  amps: positive().optional(),
  volts: positive().optional(),
  phases: positive().optional(),
  lockedRotorAmps: positive().optional(),
});
