import { object } from 'yup';
import { code, listOf, text, LONGEST_CODE } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { codeValue } from './shared/codeValue.ts';

/** Most codes of one reading: more than any menu has. */
const MAX_CODES = 500;

const shownCode = object({ code: code(), value: codeValue, shown: text(LONGEST_CODE) });

/** What the display showed once the work at a panel had been broken off: from here on it is known again what the control holds. */
export const readBack = entry('readBack', {
  read: listOf(shownCode, MAX_CODES, 'codes'),
  /** Codes that were said to stand and do not, or of which no reading can tell. */
  lost: listOf(code(), MAX_CODES, 'codes'),
});

export type ReadBack = BodyOf<typeof readBack>;
