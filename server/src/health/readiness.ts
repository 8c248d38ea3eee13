import { statfs } from 'node:fs/promises';
import type { Database } from '../database/database.ts';

/** Below this PostgreSQL is about to refuse writes, or to stop: it makes its log in pieces of 16 MB. */
const LEAST_FREE_BYTES = 64 * 1024 * 1024;
/** A supervisor may ask as often as it likes. */
const HELD_MS = 1000;

/** Whether a write would succeed now, and why not. */
export interface Readiness {
  readonly ready: boolean;
  readonly why: string | null;
}

/**
 * Answers whether a write would succeed: by writing, and by the space left where the database lies, when that folder is known. An answer
 * holds for a second; those who ask meanwhile get the same one.
 */
export function readinessOf(
  database: Pick<Database, 'takesWrites'>,
  dataFolder: string | null,
  freeBytes: (folder: string) => Promise<number> = freeOn,
  now: () => number = Date.now,
): () => Promise<Readiness> {
  let held: { readonly at: number; readonly answer: Promise<Readiness> } | null = null;
  async function look(): Promise<Readiness> {
    const free = dataFolder === null ? null : await freeBytes(dataFolder).catch(() => null);
    if (free !== null && free < LEAST_FREE_BYTES)
      return {
        ready: false,
        why: `${Math.floor(free / 1024 / 1024)} MB are left on the disk of the database`,
      };
    return (await database.takesWrites())
      ? { ready: true, why: null }
      : { ready: false, why: 'the database takes no writes' };
  }
  return () => {
    if (held === null || now() - held.at >= HELD_MS) held = { at: now(), answer: look() };
    return held.answer;
  };
}

async function freeOn(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}
