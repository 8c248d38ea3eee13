import { anyText, LONGEST_NAME, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Who was handed the unit, and what to watch for. */
export const handedOver = entry('handedOver', {
  to: anyText(LONGEST_NAME),
  watch: anyText(LONGEST_TEXT),
});

export type HandedOver = BodyOf<typeof handedOver>;
