import type { EntryBody } from '@brine/contract/entries';

/** A text of an entry that a person can put right where the server refused it. */
export interface EditableText {
  readonly field: string;
  readonly text: string;
}

/** What names an entry's place is not edited: it would become another entry. */
const FIXED: ReadonlySet<string> = new Set([
  'kind',
  'id',
  'code',
  'question',
  'setting',
  'test',
  'step',
  'place',
]);

/** The texts of an entry's body, also one level down (a follow-up's, a part's). */
export function editableTexts(body: EntryBody): readonly EditableText[] {
  const found = (fields: object, prefix: string): EditableText[] =>
    Object.entries(fields).flatMap(([name, value]: [string, unknown]) => {
      if (FIXED.has(name)) return [];
      if (typeof value === 'string') return [{ field: `${prefix}${name}`, text: value }];
      return prefix === '' && typeof value === 'object' && value !== null && !Array.isArray(value)
        ? found(value, `${name}.`)
        : [];
    });
  return found(body, '');
}

/** The body with other texts. */
export function withTexts(body: EntryBody, texts: readonly EditableText[]): EntryBody {
  const changed = structuredClone(body) as unknown as Record<string, unknown>;
  for (const { field, text } of texts) {
    const [outer, inner] = field.split('.') as [string, string?];
    if (inner === undefined) changed[outer] = text;
    else (changed[outer] as Record<string, unknown>)[inner] = text;
  }
  return changed as unknown as EntryBody;
}
