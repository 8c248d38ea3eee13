import { text, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A free note on the job. */
export const note = entry('note', {
  text: text(LONGEST_TEXT),
});

export type Note = BodyOf<typeof note>;
