import { nameHere } from '../../shared/mount/mount.ts';
import { openDB, type DBSchema } from 'idb';
import type { ReadAt, TextPiece } from '@brine/core/controllers/pages';

/** A part of a page, in the page's unit. */
export interface PageFrame {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** A page of a booklet: its picture, and the words on it at their places. */
export interface KeptPage {
  /** From 1; photographs count as pages in the order in which they came. */
  readonly page: number;
  readonly width: number;
  readonly height: number;
  /** Null where nobody has read it yet: a page that is a picture. */
  readonly pieces: readonly TextPiece[] | null;
  readonly picture: Blob | null;
  /** Rows of a parameter table found on it. */
  readonly rows: number;
}

/** A booklet that is being written down. */
export interface KeptBooklet {
  readonly name: string;
  readonly pages: readonly KeptPage[];
  readonly chosen: readonly number[];
  /** The part of a page that is read, where not all of it is. */
  readonly frames: Readonly<Record<number, PageFrame>>;
  /** The text that was laid out from the chosen pages, and where each line was read. */
  readonly texts: readonly string[];
  readonly lines: readonly ReadAt[];
}

interface BookletSchema extends DBSchema {
  booklets: { key: string; value: KeptBooklet };
}

const KEY = 'writing';

/** The browser's own store of the booklet that is being written down: left and resumed at will. */
export async function openBooklets(name = 'brine-dial-booklets') {
  const db = await openDB<BookletSchema>(nameHere(name), 1, {
    upgrade: (database) => void database.createObjectStore('booklets'),
  });
  return {
    keep: async (booklet: KeptBooklet) => void (await db.put('booklets', booklet, KEY)),
    read: () => db.get('booklets', KEY),
    remove: () => db.delete('booklets', KEY),
  };
}
