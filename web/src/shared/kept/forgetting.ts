import { nameHere } from '../mount/mount.ts';
import { kept } from './keptStorage.ts';

const LEAVING = nameHere('brine-leaving');

/** People who signed out here, or may no longer sign in: what was kept for them goes once nothing of theirs waits on this device. */
export const leaving = (): readonly string[] => {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(LEAVING) ?? '[]');
    return Array.isArray(read) ? read.filter((id) => typeof id === 'string') : [];
  } catch {
    return [];
  }
};

const stillLeaving = (people: readonly string[]) => localStorage.setItem(LEAVING, JSON.stringify(people));

/** Notes that what is kept for a person is to go. */
export const noteLeaving = (person: string): void => stillLeaving([...new Set([...leaving(), person])]);

/** They signed in again: it stays. */
export function noteBack(person: string): void {
  stillLeaving(leaving().filter((id) => id !== person));
  kept().welcome(person);
}

/** Deletes what is kept for those who left, except for whom something still waits to be sent or exported. */
export async function forgetLeft(stillWaits: (person: string) => Promise<boolean>): Promise<void> {
  for (const person of leaving()) {
    if (await stillWaits(person)) continue;
    await kept().forget(person);
    stillLeaving(leaving().filter((id) => id !== person));
  }
}
