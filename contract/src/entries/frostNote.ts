import { whole } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** More rows or columns than any coil face is noted in. */
const MAX_CELLS = 40;

/** More looks at one coil than any job takes. */
export const MOST_FROST_LOOKS = 20;

/** Frost on one place of the coil’s face, 0 none to 3 thick; null takes it back. Which look at the coil it was; the first where it is not said. */
export const frostNote = entry('frostNote', {
  row: whole(1, MAX_CELLS),
  column: whole(1, MAX_CELLS),
  level: whole(0, 3).nullable(),
  look: whole(1, MOST_FROST_LOOKS).optional(),
});

export type FrostNote = BodyOf<typeof frostNote>;
