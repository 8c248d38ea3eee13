import { object } from 'yup';
import { id, text, day, yesNo, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const followUpField = object({ due: day(), what: text(LONGEST_TEXT), done: yesNo() });

/** Something to come back for; null takes it away. */
export const followUp = entry('followUp', {
  id: id(),
  followUp: followUpField.nullable().defined('expected a follow-up or null'),
});

export type FollowUp = BodyOf<typeof followUp>;
