import { text, uuidField, LONGEST_NAME } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** The program of another job was taken over: of which, and of which unit. */
export const copiedFrom = entry('copiedFrom', {
  job: uuidField(),
  unit: text(LONGEST_NAME),
});

export type CopiedFrom = BodyOf<typeof copiedFrom>;
