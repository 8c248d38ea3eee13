import type { FrostNote } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

const levels = ['none', 'thin', 'middling', 'thick'] as const;

export const frostNote: KindOfEntry<FrostNote> = {
  key: (body) => `frostNote:${body.row}:${body.column}`,
  about: (body) => `Frost, row ${body.row}, column ${body.column}`,
  says: (body) => (body.level === null ? 'removed' : (levels[body.level] ?? String(body.level))),
};
