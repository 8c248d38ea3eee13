import { anyText, oneOf, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Which box is run: the unit’s own one or the usual one of its kind; and why, where somebody says so. */
export const boxChoice = entry('boxChoice', {
  use: oneOf(['own', 'usual']),
  why: anyText(LONGEST_TEXT),
});

export type BoxChoice = BodyOf<typeof boxChoice>;
