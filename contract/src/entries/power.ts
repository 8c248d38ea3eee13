import { oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Locked out and proven dead, or energised again. The later of the two is how the cabinet stands. */
export const power = entry('power', {
  state: oneOf(['lockedOut', 'live']),
});

export type Power = BodyOf<typeof power>;
