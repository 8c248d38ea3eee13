import { nameHere } from '../mount/mount.ts';
import { openDB, type DBSchema, type IDBPDatabase, type OpenDBCallbacks } from 'idb';
import { DeviceError, noteTrouble, troubleOf } from './trouble.ts';

/** A database of this browser: its name, its version, how it comes about. */
export interface DatabasePlan<Schema extends DBSchema> {
  readonly name: string;
  readonly version: number;
  readonly upgrade: NonNullable<OpenDBCallbacks<Schema>['upgrade']>;
}

/** A database that opens itself anew where the browser closed it. */
export interface DeviceDatabase<Schema extends DBSchema> {
  /**
   * Works on the database.
   *
   * @throws DeviceError where this browser cannot keep anything now
   */
  use<Result>(work: (db: IDBPDatabase<Schema>) => Promise<Result>): Promise<Result>;
  /** Called after the browser closed it under the page, for example because its data were cleared. */
  onLost(listener: () => void): void;
}

/** How long another tab's older program may hold the storage before this page goes on without it, ms. */
const HELD_MS = 1500;

/** Between one try and the next on a connection that was cut off, ms: a browser is through with clearing in less. */
const PAUSES_MS = [0, 50, 200, 600] as const;

/** A database by its plan; opened at the first use. */
export function deviceDatabase<Schema extends DBSchema>(plan: DatabasePlan<Schema>): DeviceDatabase<Schema> {
  const listeners: (() => void)[] = [];
  let opening: Promise<IDBPDatabase<Schema>> | null = null;
  let held = false;

  function open(): Promise<IDBPDatabase<Schema>> {
    if (opening) return opening;
    const mine: Promise<IDBPDatabase<Schema>> = openDB<Schema>(nameHere(plan.name), plan.version, {
      upgrade: plan.upgrade,
      blocked: () => (held = true),
      // A newer program wants in: this page lets go, and says that it is old when it next wants something.
      blocking: (_current, _wanted, event) => {
        (event.target as IDBDatabase).close();
        if (opening === mine) opening = null;
      },
      terminated: () => {
        if (opening === mine) opening = null;
        for (const listener of listeners) listener();
      },
    }).finally(() => (held = false));
    mine.catch(() => opening === mine && (opening = null));
    return (opening = mine);
  }

  /** The open database; an error where another tab keeps it from opening, instead of waiting for ever. */
  function opened(): Promise<IDBPDatabase<Schema>> {
    const found = open();
    return new Promise((resolve, reject) => {
      const timer = setInterval(() => held && reject(new DeviceError('held')), HELD_MS);
      found.then(resolve, reject).finally(() => clearInterval(timer));
    });
  }

  async function use<Result>(work: (db: IDBPDatabase<Schema>) => Promise<Result>): Promise<Result> {
    try {
      const result = await attempt(work);
      noteTrouble(plan.name, null);
      return result;
    } catch (error) {
      const trouble = troubleOf(error);
      if (trouble === null) throw error;
      noteTrouble(plan.name, trouble);
      throw error instanceof DeviceError ? error : new DeviceError(trouble, error);
    }
  }

  /** Again on a fresh connection where the old one turns out to be closed: a browser that clears its storage cuts off what is opened meanwhile as well. */
  async function attempt<Result>(work: (db: IDBPDatabase<Schema>) => Promise<Result>): Promise<Result> {
    for (const pause of PAUSES_MS) {
      const mine = opened();
      try {
        return await work(await mine);
      } catch (error) {
        if (!isClosed(error)) throw error;
        const used = await mine.catch(() => null);
        if (opening && (await opening.catch(() => null)) === used) opening = null;
      }
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
    return work(await opened());
  }

  return { use, onLost: (listener) => void listeners.push(listener) };
}

/** A connection that is closing refuses new transactions; one that was cut off aborts those that ran. */
const isClosed = (error: unknown): boolean =>
  ['InvalidStateError', 'AbortError', 'UnknownError'].includes((error as DOMException | null)?.name ?? '');

/** A transaction whose end is also heard where a step before failed: that failure is the one to tell. */
export function begun<Transaction extends { readonly done: Promise<void> }>(
  transaction: Transaction,
): Transaction {
  transaction.done.catch(() => undefined);
  return transaction;
}
