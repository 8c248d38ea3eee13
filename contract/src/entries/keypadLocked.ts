import { yesNo } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Whether the keys were left locked. */
export const keypadLocked = entry('keypadLocked', {
  locked: yesNo().nullable(),
});

export type KeypadLocked = BodyOf<typeof keypadLocked>;
