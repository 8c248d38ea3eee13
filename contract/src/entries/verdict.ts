import { decisions } from '@brine/core/judgement/complaints';
import { anyText, id, oneOf, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** What is behind the complaint, and what comes of it. */
export const verdict = entry('verdict', {
  cause: id().nullable(),
  decision: oneOf(decisions).nullable(),
  words: anyText(LONGEST_TEXT),
});

export type Verdict = BodyOf<typeof verdict>;
