import type { EntryBody, EntryKind } from '@brine/contract/entries';
import * as every from './every.ts';
import type { CodeNames, KindOfEntry } from './kind.ts';

/** Every kind of entry; the compiler holds the list to the contract. */
const kinds: { readonly [Kind in EntryKind]: KindOfEntry<Extract<EntryBody, { kind: Kind }>> } = every;

const kindOf = (body: EntryBody) => kinds[body.kind] as KindOfEntry<EntryBody>;

/** The register an entry writes, or null where entries only add up. Two entries of one register replace each other. */
export const registerOf = (body: EntryBody): string | null => kindOf(body).key(body);

/** What an entry is about, in a few words. */
export const aboutEntry = (body: EntryBody, names?: CodeNames): string => kindOf(body).about(body, names);

/** What an entry says, in a few words. */
export const saidByEntry = (body: EntryBody): string => kindOf(body).says(body);

/** An entry without its job at hand: what it is about and what it says, “Found Cp: 300”. */
export function describeEntry(body: EntryBody): string {
  const about = aboutEntry(body);
  return `${about}${about.endsWith('?') ? '' : ':'} ${saidByEntry(body)}`;
}
