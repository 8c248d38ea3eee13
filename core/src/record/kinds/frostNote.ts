import type { FrostNote } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

const levels = ['none', 'thin', 'middling', 'thick'] as const;

/** A look after the first, which entries from before there were several do not number. */
const later = ({ look = 1 }: FrostNote) => (look > 1 ? `:${look}` : '');

export const frostNote: KindOfEntry<FrostNote> = {
  key: (body) => `frostNote:${body.row}:${body.column}${later(body)}`,
  about: (body) => `Frost, row ${body.row}, column ${body.column}${later(body) && `, look ${body.look}`}`,
  says: (body) => (body.level === null ? 'removed' : (levels[body.level] ?? String(body.level))),
};
