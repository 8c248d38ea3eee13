import type { DBSchema, IDBPDatabase } from 'idb';
import type { AcceptedEntry } from '@brine/core/record/entries';
import { askToPersist } from '../device/persist.ts';
import { begun, deviceDatabase } from '../device/database.ts';
import { DeviceError } from '../device/trouble.ts';

/** An answer of the server, as it was when it was last asked. */
export interface KeptAnswer {
  readonly person: string;
  readonly address: string;
  readonly json: unknown;
  readonly at: string;
}

/** A job's stream as far as this device has seen it. */
export interface KeptStream {
  readonly person: string;
  readonly job: string;
  readonly entries: readonly AcceptedEntry[];
  readonly names: Readonly<Record<string, string>>;
  /** The last sequence it holds. */
  readonly seen: number;
}

/** A job of this person on this device. */
export interface KeptJob {
  readonly person: string;
  readonly job: string;
  /** Marked “take along”: it stays until the mark is taken off. */
  readonly marked: boolean;
  /** Theirs to go to, as the board says: it comes along by itself. */
  readonly assigned: boolean;
  readonly openedAt: string | null;
  /** Since when all of it is here; null where something is still missing. */
  readonly wholeAt: string | null;
  /** Why it is not whole; null where nothing is known against it. */
  readonly problem: string | null;
}

/** A file of the server's: a picture or a logger's file of a job taken along. */
export interface TakenFile {
  readonly person: string;
  readonly id: string;
  readonly job: string;
  readonly blob: Blob;
}

interface KeptSchema extends DBSchema {
  answers: { key: [person: string, address: string]; value: KeptAnswer };
  streams: { key: [person: string, job: string]; value: KeptStream };
  jobs: { key: [person: string, job: string]; value: KeptJob };
  files: { key: [person: string, id: string]; value: TakenFile };
}

type Database = IDBPDatabase<KeptSchema>;

const stores = ['answers', 'streams', 'jobs', 'files'] as const;

/** What the server has said, kept on this device for each person apart. Nothing of it is the only copy: what cannot be kept is simply not there without signal. */
export function openKept(name = 'brine-dial-kept') {
  const database = deviceDatabase<KeptSchema>({
    name,
    version: 1,
    upgrade(db) {
      db.createObjectStore('answers', { keyPath: ['person', 'address'] });
      db.createObjectStore('streams', { keyPath: ['person', 'job'] });
      db.createObjectStore('jobs', { keyPath: ['person', 'job'] });
      db.createObjectStore('files', { keyPath: ['person', 'id'] });
    },
  });
  /** People whose data were deleted: what is still on its way for them is not written. */
  const forgotten = new Set<string>();
  const ofPerson = (person: string) => IDBKeyRange.bound([person], [person, []]);

  async function read<Result>(work: (db: Database) => Promise<Result>, instead: Result): Promise<Result> {
    try {
      return await database.use(work);
    } catch (error) {
      if (error instanceof DeviceError) return instead;
      throw error;
    }
  }

  /** Writes for a person, unless they were forgotten meanwhile. */
  const write = (person: string, work: (db: Database) => Promise<unknown>): Promise<void> =>
    read(async (db) => void (forgotten.has(person) || (await work(db))), undefined);

  return {
    answer: (person: string, address: string) =>
      read((db) => db.get('answers', [person, address]), undefined),
    keepAnswer: (answer: KeptAnswer) => write(answer.person, (db) => db.put('answers', answer)),
    stream: (person: string, job: string) => read((db) => db.get('streams', [person, job]), undefined),
    keepStream: (stream: KeptStream) => write(stream.person, (db) => db.put('streams', stream)),
    file: (person: string, id: string) => read((db) => db.get('files', [person, id]), undefined),
    keepFile: (file: TakenFile) => write(file.person, (db) => db.put('files', file)),
    jobs: (person: string) => read((db) => db.getAll('jobs', ofPerson(person)), []),
    /** Changes what is noted of a job, in one transaction. */
    noteJob(person: string, job: string, change: Partial<Omit<KeptJob, 'person' | 'job'>>): Promise<void> {
      askToPersist();
      return write(person, async (db) => {
        const transaction = begun(db.transaction('jobs', 'readwrite'));
        const before = await transaction.store.get([person, job]);
        const usual = {
          person,
          job,
          marked: false,
          assigned: false,
          openedAt: null,
          wholeAt: null,
          problem: null,
        };
        await transaction.store.put({ ...usual, ...before, ...change });
        await transaction.done;
      });
    },
    /** Drops a person's jobs, streams and files but for those of these jobs, and answers from before that time. */
    drop: (person: string, but: { jobs: ReadonlySet<string>; streams: ReadonlySet<string>; since: string }) =>
      write(person, async (db) => {
        const transaction = begun(db.transaction([...stores], 'readwrite'));
        const goes = {
          jobs: (one: KeptJob) => !but.jobs.has(one.job),
          files: (one: TakenFile) => !but.jobs.has(one.job),
          streams: (one: KeptStream) => !but.streams.has(one.job),
          answers: (one: KeptAnswer) => one.at < but.since,
        };
        for (const store of stores)
          for await (const cursor of transaction.objectStore(store).iterate(ofPerson(person)))
            if (goes[store](cursor.value as never)) await cursor.delete();
        await transaction.done;
      }),
    /** Everything of a person. */
    forget(person: string): Promise<void> {
      forgotten.add(person);
      return read(async (db) => {
        const transaction = begun(db.transaction([...stores], 'readwrite'));
        for (const store of stores) await transaction.objectStore(store).delete(ofPerson(person));
        await transaction.done;
      }, undefined);
    },
    /** They are back: what comes for them is kept again. */
    welcome: (person: string) => void forgotten.delete(person),
  };
}

export type KeptStorage = ReturnType<typeof openKept>;

let storage: KeptStorage | null = null;
/** The one of this page. */
export const kept = (): KeptStorage => (storage ??= openKept());
