import type { DBSchema, IDBPDatabase } from 'idb';
import { askToPersist } from '../device/persist.ts';
import { begun, deviceDatabase } from '../device/database.ts';
import { DeviceError } from '../device/trouble.ts';
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
  /** Makes an entry and keeps it, in one transaction with the device's counter; one of that id is kept once. Where nothing can be kept it is held in this page. */
  add(
    author: { id: string; name: string },
    job: string,
    seen: number,
    body: EntryBody,
    now: Date,
    id?: string,
  ): Promise<WaitingEntry>;
  entries(): Promise<WaitingEntry[]>;
  update(entry: WaitingEntry): Promise<void>;
  remove(id: string): Promise<void>;
  tickets(): Promise<Ticket[]>;
  keepTicket(ticket: Ticket): Promise<void>;
  dropTicket(author: string): Promise<void>;
  /** Called when the browser lost what it had kept and this page has put it back. */
  onRestored(listener: () => void): void;
}

type Database = IDBPDatabase<OutboxSchema>;

/**
 * Opens the outbox of this browser. What it holds stands in the page's memory as well: where the browser cleared its storage under the page it is
 * written anew, where the browser keeps nothing it is held there until it is sent.
 */
export async function openStorage(name = 'brine-dial'): Promise<OutboxStorage> {
  const database = deviceDatabase<OutboxSchema>({
    name,
    version: 1,
    upgrade(db) {
      db.createObjectStore('entries', { keyPath: 'entry.id' });
      db.createObjectStore('tickets', { keyPath: 'author' });
      db.createObjectStore('meta');
    },
  });
  const held = new HeldOutbox();
  const listeners: (() => void)[] = [];

  /** On the database, after what it lost was put back; on what this page holds where the browser keeps nothing. */
  async function kept<Result>(
    work: (db: Database) => Promise<Result>,
    instead: () => Result,
  ): Promise<Result> {
    try {
      return await database.use(async (db) => {
        if (await held.putBack(db)) for (const listener of listeners) listener();
        return work(db);
      });
    } catch (error) {
      if (error instanceof DeviceError) return instead();
      throw error;
    }
  }
  // A page that is closed next must not take the only copy with it.
  database.onLost(
    () =>
      void kept(
        async () => undefined,
        () => undefined,
      ),
  );

  return {
    device: () =>
      kept(
        (db) => deviceOf(db, held),
        () => held.deviceId(),
      ),
    async add(author, job, seen, body, now, id = newId()) {
      askToPersist();
      const made = (device: string, deviceSequence: number): WaitingEntry => {
        const deviceTime = now.toISOString();
        return {
          entry: { id, job, device, deviceSequence, deviceTime, seen, author: author.id, body },
          authorName: author.name,
          state: 'waiting',
          problem: null,
        };
      };
      const waiting = await kept(
        async (db) => {
          const device = await deviceOf(db, held);
          const transaction = begun(db.transaction(['entries', 'meta'], 'readwrite'));
          const meta = transaction.objectStore('meta');
          const known = await transaction.objectStore('entries').get(id);
          if (known) return known;
          const before = Number((await meta.get(counterOf(job))) ?? 0);
          const entry = made(device, Math.max(before, held.counted(job)) + 1);
          await meta.put(entry.entry.deviceSequence, counterOf(job));
          await transaction.objectStore('entries').put(entry);
          await transaction.done;
          return entry;
        },
        () => held.unkept(made(held.deviceId(), held.counted(job) + 1)),
      );
      held.count(job, waiting.entry.deviceSequence);
      held.entries.set(waiting.entry.id, waiting);
      return waiting;
    },
    async entries() {
      const all = await kept(
        async (db) => held.saw(await db.getAll('entries')),
        () => [...held.entries.values()],
      );
      return all.toSorted((a, b) =>
        a.entry.job === b.entry.job
          ? a.entry.deviceSequence - b.entry.deviceSequence
          : a.entry.deviceTime < b.entry.deviceTime
            ? -1
            : 1,
      );
    },
    async update(entry) {
      held.entries.set(entry.entry.id, entry);
      await kept(async (db) => void (await db.put('entries', entry)), nothing);
    },
    async remove(id) {
      held.entries.delete(id);
      await kept((db) => db.delete('entries', id), nothing);
    },
    async tickets() {
      const all = await kept(
        (db) => db.getAll('tickets'),
        () => [...held.tickets.values()],
      );
      for (const ticket of all) held.tickets.set(ticket.author, ticket);
      return all;
    },
    async keepTicket(ticket) {
      held.tickets.set(ticket.author, ticket);
      await kept(async (db) => void (await db.put('tickets', ticket)), nothing);
    },
    async dropTicket(author) {
      held.tickets.delete(author);
      await kept((db) => db.delete('tickets', author), nothing);
    },
    onRestored: (listener) => void listeners.push(listener),
  };
}

const nothing = () => undefined;
const counterOf = (job: string) => `sequence:${job}`;

/** What the outbox holds, in the page's memory. */
class HeldOutbox {
  readonly entries = new Map<string, WaitingEntry>();
  readonly tickets = new Map<string, Ticket>();
  private readonly counters = new Map<string, number>();
  private device: string | null = null;
  private readonly inPageAlone = new Set<string>();
  /** The connection that is known to hold all of this. */
  private written: Database | null = null;

  deviceId(): string {
    return (this.device ??= newId());
  }

  /** The device's name as it is kept: from now on this page calls itself so too. */
  becomes(device: string): void {
    this.device = device;
  }

  counted(job: string): number {
    return this.counters.get(job) ?? 0;
  }

  count(job: string, sequence: number): void {
    this.counters.set(job, Math.max(sequence, this.counted(job)));
  }

  /** An entry that only this page has, until the database takes it. */
  unkept(waiting: WaitingEntry): WaitingEntry {
    this.inPageAlone.add(waiting.entry.id);
    return waiting;
  }

  /** What the database holds is what there is: another tab may have sent the rest. */
  saw(all: WaitingEntry[]): WaitingEntry[] {
    this.entries.clear();
    for (const waiting of all) {
      this.entries.set(waiting.entry.id, waiting);
      this.count(waiting.entry.job, waiting.entry.deviceSequence);
    }
    return all;
  }

  /**
   * Writes into a database what only this page has: all of it where the database was emptied, else what could not be kept before. True where it had been
   * emptied.
   */
  async putBack(db: Database): Promise<boolean> {
    if (this.device === null || (db === this.written && this.inPageAlone.size === 0)) return false;
    const transaction = begun(db.transaction(['entries', 'tickets', 'meta'], 'readwrite'));
    const meta = transaction.objectStore('meta');
    const lost = (await meta.get('device')) === undefined;
    if (lost) await meta.put(this.device, 'device');
    for (const [job, sequence] of this.counters)
      if (sequence > Number((await meta.get(counterOf(job))) ?? 0)) await meta.put(sequence, counterOf(job));
    if (lost)
      for (const ticket of this.tickets.values()) await transaction.objectStore('tickets').put(ticket);
    for (const [id, waiting] of this.entries)
      if (lost || this.inPageAlone.has(id)) await transaction.objectStore('entries').put(waiting);
    await transaction.done;
    this.written = db;
    this.inPageAlone.clear();
    return lost;
  }
}

async function deviceOf(db: Database, held: HeldOutbox): Promise<string> {
  const transaction = begun(db.transaction('meta', 'readwrite'));
  const known = await transaction.store.get('device');
  if (known === undefined) await transaction.store.put(held.deviceId(), 'device');
  const device = String(await transaction.store.get('device'));
  await transaction.done;
  held.becomes(device);
  return device;
}
