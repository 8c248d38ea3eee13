import { anyText, code, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { codeValue } from './shared/codeValue.ts';

/** A value chosen for a code of the new control, and why; null goes back to the plan, else to its default. */
export const plannedCode = entry('plannedCode', {
  code: code(),
  value: codeValue.nullable(),
  why: anyText(LONGEST_TEXT).optional(),
});

export type PlannedCode = BodyOf<typeof plannedCode>;
