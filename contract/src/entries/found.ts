import { anyText, code } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** What the old control shows for a code; null takes it away. */
export const found = entry('found', {
  code: code(),
  value: anyText(200).nullable(),
});

export type Found = BodyOf<typeof found>;
