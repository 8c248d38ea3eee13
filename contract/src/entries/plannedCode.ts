import { code } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { codeValue } from './shared/codeValue.ts';

/** A value planned for a code that has no common meaning; null goes back to its default. */
export const plannedCode = entry('plannedCode', {
  code: code(),
  value: codeValue.nullable(),
});

export type PlannedCode = BodyOf<typeof plannedCode>;
