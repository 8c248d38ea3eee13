import type { DBSchema } from 'idb';
import { askToPersist } from './persist.ts';
import { deviceDatabase } from './database.ts';
import { DeviceError } from './trouble.ts';

interface FilesSchema<File> extends DBSchema {
  files: { key: string; value: File };
}

/** Files of one kind on this device, until the server has them. */
export interface KeptFiles<File> {
  keep(file: File): Promise<void>;
  read(id: string): Promise<File | undefined>;
  all(): Promise<readonly File[]>;
  remove(id: string): Promise<void>;
}

/**
 * A store of files by their id, in a database of its own whose one table is named so. What the server has not got yet (`waits`) this page holds as
 * well, for a browser that keeps nothing or clears its storage.
 */
export function keptFiles<File extends { readonly id: string }>(
  name: string,
  table: string,
  waits: (file: File) => boolean = () => true,
): KeptFiles<File> {
  const store = table as 'files';
  const database = deviceDatabase<FilesSchema<File>>({
    name,
    version: 1,
    upgrade: (db) => void db.createObjectStore(store, { keyPath: 'id' }),
  });
  /** Files of this page that the server has not got yet. */
  const held = new Map<string, File>();

  return {
    async keep(file) {
      askToPersist();
      if (waits(file)) held.set(file.id, file);
      else held.delete(file.id);
      await orElse(
        database.use((db) => db.put(store, file)),
        undefined,
      );
    },
    read: async (id) =>
      (await orElse(
        database.use((db) => db.get(store, id)),
        undefined,
      )) ?? held.get(id),
    async all() {
      const kept = await orElse(
        database.use((db) => db.getAll(store)),
        [],
      );
      const known = new Set(kept.map((file) => file.id));
      return [...kept, ...[...held.values()].filter((file) => !known.has(file.id))];
    },
    async remove(id) {
      held.delete(id);
      await orElse(
        database.use((db) => db.delete(store, id)),
        undefined,
      );
    },
  };
}

/** What is said instead where the browser keeps nothing now; the trouble itself is on every page. */
async function orElse<Result, Instead>(work: Promise<Result>, instead: Instead): Promise<Result | Instead> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof DeviceError) return instead;
    throw error;
  }
}
