import { id, yesNo } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A wire of the plan done, or open again. */
export const wired = entry('wired', {
  wire: id(),
  done: yesNo(),
});

export type Wired = BodyOf<typeof wired>;
