import { checkIds } from '@brine/core/judgement/complaints';
import { oneOf, yesNo } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A check of the complaint answered. */
export const complaintCheck = entry('complaintCheck', {
  check: oneOf(checkIds),
  answer: yesNo().nullable(),
});

export type ComplaintCheck = BodyOf<typeof complaintCheck>;
