import type { AcceptedEntry, Entry, EntryBody, EntryKind } from '../entries/index.ts';
import { registerOf } from '../kinds/index.ts';

/** A value standing in a register, with who wrote it where. Pending ones have no sequence yet. */
export interface Head {
  readonly entry: Entry;
  readonly sequence: number | null;
}

/** A job's state: every register with the entries that stand in it, and what only adds up. */
export interface JobState {
  /** The last sequence folded in. */
  readonly sequence: number;
  readonly registers: ReadonlyMap<string, readonly Head[]>;
  /** Kinds that only add up (notes, sheets), each in the order of the stream. */
  readonly lists: ReadonlyMap<EntryKind, readonly Head[]>;
}

/** Two or more values of one register whose authors had not seen each other's. A person settles it by writing a value anew. */
export interface Conflict {
  readonly register: string;
  readonly heads: readonly Head[];
}

/**
 * Folds a job's stream by the server's sequence, never by a device's clock; entries a device has not got accepted yet come after, in
 * their own order. A new value replaces those its author had seen, and those from its own device; what it had not seen stays beside it.
 */
export function fold(accepted: readonly AcceptedEntry[], pending: readonly Entry[] = []): JobState {
  const known = new Set(accepted.map((e) => e.id));
  const ordered = [...accepted]
    .sort((a, b) => a.sequence - b.sequence)
    .map((entry): Head => ({ entry, sequence: entry.sequence }));
  const waiting = pending
    .filter((e) => !known.has(e.id))
    .sort((a, b) => a.deviceSequence - b.deviceSequence)
    .map((entry): Head => ({ entry, sequence: null }));
  const registers = new Map<string, readonly Head[]>();
  const lists = new Map<EntryKind, Head[]>();
  for (const head of [...ordered, ...waiting]) {
    const register = registerOf(head.entry.body);
    if (register !== null) registers.set(register, written(registers.get(register) ?? [], head));
    else {
      const { kind } = head.entry.body;
      lists.set(kind, [...(lists.get(kind) ?? []), head]);
    }
  }
  return { sequence: ordered.at(-1)?.sequence ?? 0, registers, lists };
}

/** A register after one more value. An entry that its own device has already replaced (sent again, out of order) changes nothing. */
function written(heads: readonly Head[], head: Head): readonly Head[] {
  const { device, deviceSequence } = head.entry;
  if (heads.some((old) => old.entry.device === device && old.entry.deviceSequence > deviceSequence))
    return heads;
  return [...heads.filter((old) => !replaces(head.entry, old)), head];
}

function replaces(entry: Entry, old: Head): boolean {
  return old.entry.device === entry.device || (old.sequence !== null && old.sequence <= entry.seen);
}

/** The body of one kind of entry. */
export type Body<Kind extends EntryKind> = Extract<EntryBody, { kind: Kind }>;

/** The body that stands in a register: of several, the last accepted one. */
export function standing<Kind extends EntryKind>(
  state: JobState,
  register: string,
  _kind: Kind,
): Body<Kind> | undefined {
  return state.registers.get(register)?.at(-1)?.entry.body as Body<Kind> | undefined;
}

/** Every register of a kind with the body that stands in it, in the order first written. */
export function allStanding<Kind extends EntryKind>(state: JobState, kind: Kind): readonly Body<Kind>[] {
  return [...state.registers.values()]
    .map((heads) => heads.at(-1)!.entry.body)
    .filter((body): body is Body<Kind> => body.kind === kind);
}

/** Every entry of a kind that only adds up, in the order of the stream. */
export const added = (state: JobState, kind: EntryKind): readonly Head[] => state.lists.get(kind) ?? [];

/** Registers whose values differ and had not seen each other. Equal values are no conflict. */
export function conflictsOf(state: JobState): readonly Conflict[] {
  return [...state.registers.entries()]
    .filter(([, heads]) => new Set(heads.map((head) => JSON.stringify(head.entry.body))).size > 1)
    .map(([register, heads]) => ({ register, heads }));
}
