import { anyText, code, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** What the old control shows for a code; null takes it away. */
export const found = entry('found', {
  code: code(),
  value: anyText(200).nullable(),
  /** Read over the control’s bus, not off its display. */
  over: oneOf(['bus']).optional(),
});

export type Found = BodyOf<typeof found>;
