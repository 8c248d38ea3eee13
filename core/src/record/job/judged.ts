import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { JudgementInput } from '../../judgement/verdict/index.ts';
import type { Program } from './program.ts';

/** What of a job is judged: its unit and the values in force, the control they stand in, what was found in the old one. */
export type JudgedProgram = Pick<Program, 'unit' | 'inForce' | 'found'>;

/** The question of a job to the one judgement, the same at every station, on the sheet and in a review; null while nobody knows what the unit is. */
export const judgementInput = (
  { unit, inForce, found }: JudgedProgram,
  controller: ControllerDefinition | null,
  display: TemperatureUnit,
): JudgementInput | null =>
  unit && { unit, values: inForce, controller, inEffect: true, display, found: found?.values ?? null };
