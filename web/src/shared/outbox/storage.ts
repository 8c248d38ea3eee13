import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Entry, EntryBody } from '@brine/core/record/entries';
import { newId } from './identity.ts';

/** An entry that the server has not accepted yet. A refused one waits for its author's decision. */
export interface WaitingEntry {
  readonly entry: Entry;
  readonly authorName: string;
  readonly state: 'waiting' | 'refused';
  readonly problem: string | null;
  /** Rounds in which the server stumbled over it alone. */
  readonly tries?: number;
}

/** What lets this device hand in an author's entries. */
export interface Ticket {
  readonly author: string;
  readonly authorName: string;
  readonly ticket: string;
}

interface OutboxSchema extends DBSchema {
  entries: { key: string; value: WaitingEntry };
  tickets: { key: string; value: Ticket };
  meta: { key: string; value: string | number };
}

/** The browser's own database: survives a closed tab, a dead battery and a server that is away. */
export interface OutboxStorage {
  device(): Promise<string>;
  /** Makes an entry and keeps it, in one transaction with the device's counter. */
  add(
    author: { id: string; name: string },
    job: string,
    seen: number,
    body: EntryBody,
    now: Date,
  ): Promise<WaitingEntry>;
  entries(): Promise<WaitingEntry[]>;
  update(entry: WaitingEntry): Promise<void>;
  remove(id: string): Promise<void>;
  tickets(): Promise<Ticket[]>;
  keepTicket(ticket: Ticket): Promise<void>;
  dropTicket(author: string): Promise<void>;
}

/** Opens the outbox of this browser. */
export async function openStorage(name = 'brine-dial'): Promise<OutboxStorage> {
  const db = await openDB<OutboxSchema>(name, 1, {
    upgrade(database) {
      database.createObjectStore('entries', { keyPath: 'entry.id' });
      database.createObjectStore('tickets', { keyPath: 'author' });
      database.createObjectStore('meta');
    },
  });
  return {
    device: () => deviceOf(db),
    async add(author, job, seen, body, now) {
      const device = await deviceOf(db);
      const transaction = db.transaction(['entries', 'meta'], 'readwrite');
      const counter = `sequence:${job}`;
      const deviceSequence = Number((await transaction.objectStore('meta').get(counter)) ?? 0) + 1;
      const entry: Entry = {
        id: newId(),
        job,
        device,
        deviceSequence,
        deviceTime: now.toISOString(),
        seen,
        author: author.id,
        body,
      };
      const waiting: WaitingEntry = { entry, authorName: author.name, state: 'waiting', problem: null };
      await transaction.objectStore('meta').put(deviceSequence, counter);
      await transaction.objectStore('entries').put(waiting);
      await transaction.done;
      return waiting;
    },
    async entries() {
      const all = await db.getAll('entries');
      return all.sort((a, b) =>
        a.entry.job === b.entry.job
          ? a.entry.deviceSequence - b.entry.deviceSequence
          : a.entry.deviceTime < b.entry.deviceTime
            ? -1
            : 1,
      );
    },
    update: async (entry) => void (await db.put('entries', entry)),
    remove: (id) => db.delete('entries', id),
    tickets: () => db.getAll('tickets'),
    keepTicket: async (ticket) => void (await db.put('tickets', ticket)),
    dropTicket: (author) => db.delete('tickets', author),
  };
}

async function deviceOf(db: IDBPDatabase<OutboxSchema>): Promise<string> {
  const transaction = db.transaction('meta', 'readwrite');
  const known = await transaction.store.get('device');
  if (known === undefined) await transaction.store.put(newId(), 'device');
  const device = await transaction.store.get('device');
  await transaction.done;
  return String(device);
}
