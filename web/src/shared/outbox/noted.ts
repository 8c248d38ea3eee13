import type { EntryBody } from '@brine/core/record/entries';

/** An entry as it was typed, before the browser's database has it. */
export interface Noted {
  readonly id: string;
  readonly author: { readonly id: string; readonly name: string };
  readonly job: string;
  readonly seen: number;
  readonly body: EntryBody;
  readonly at: string;
}

/** Notes of one tab. */
export interface Notes {
  readonly all: () => readonly Noted[];
  note(some: readonly Noted[]): void;
  forget(id: string): void;
}

/**
 * What was typed is noted here at that very moment, until the browser's database has it: that takes a few steps, and whoever goes to another page or loads this one anew between them would lose it. It lives as long as
 * the tab. A browser that keeps nothing has no notes either.
 *
 * @param storage the tab's own, `sessionStorage`
 */
export function notesIn(storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>, key: string): Notes {
  function all(): readonly Noted[] {
    try {
      return JSON.parse(storage.getItem(key) ?? '[]') as readonly Noted[];
    } catch {
      return [];
    }
  }
  function write(some: readonly Noted[]): void {
    try {
      if (some.length === 0) storage.removeItem(key);
      else storage.setItem(key, JSON.stringify(some));
    } catch {
      // Full, or not allowed: the database is asked all the same.
    }
  }
  return {
    all,
    note: (some) => write([...all(), ...some]),
    forget: (id) => write(all().filter((one) => one.id !== id)),
  };
}
