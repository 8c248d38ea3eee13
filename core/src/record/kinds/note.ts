import type { Note } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const note: KindOfEntry<Note> = {
  key: () => null,
  about: () => 'Note',
  says: (body) => body.text,
};
