import { object } from 'yup';
import { anyText, id, listOf, text, LONGEST_NAME, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Most items of one kind that stay open at a hand-over: more than any menu has codes. */
const MOST_ITEMS = 500;
/** As many as there are kinds of open items, and room for more. */
const MOST_KINDS = 20;
/** An item is named by what it is about: a finding by its code and settings. */
const LONGEST_ITEM = 400;

/** What stays open of one kind: why, or the follow-up that was made of it. */
const leftOpen = object({
  kind: id(),
  items: listOf(text(LONGEST_ITEM), MOST_ITEMS, 'items'),
  reason: anyText(LONGEST_TEXT),
  followUp: anyText(LONGEST_NAME).nullable().defined('expected the id of a follow-up, or null'),
}).test(
  'answered',
  'expected a reason or a follow-up for what stays open',
  // A reason that is no text is refused as such, by its own field.
  ({ reason, followUp }: { readonly reason: unknown; readonly followUp: unknown }) =>
    typeof reason !== 'string' || reason.trim() !== '' || followUp !== null,
);

/** Who was handed the unit, what to watch for, and what stays open. */
export const handedOver = entry('handedOver', {
  to: anyText(LONGEST_NAME),
  watch: anyText(LONGEST_TEXT),
  open: listOf(leftOpen, MOST_KINDS, 'open').optional().default(undefined),
});

export type HandedOver = BodyOf<typeof handedOver>;
