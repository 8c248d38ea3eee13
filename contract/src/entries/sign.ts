import { signIds } from '@brine/core/judgement/complaints';
import { oneOf, yesNo } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A sign of the complaint: seen, not seen, or not looked at. */
export const sign = entry('sign', {
  sign: oneOf(signIds),
  seen: yesNo().nullable(),
});

export type Sign = BodyOf<typeof sign>;
