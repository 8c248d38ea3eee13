import { parseNumber } from '@brine/core/foundation/quantities';

/** A field for a number: what it is called there, and what was typed. */
export interface NumberField {
  readonly label: string;
  readonly text: string;
  /** Whether only what is above 0 makes sense. */
  readonly positive?: boolean;
}

/** The sentence for the first field whose text is no such number; null where all can be read. An empty field asks nothing. */
export function unreadNumber(fields: readonly NumberField[]): string | null {
  for (const { label, text, positive } of fields) {
    if (text.trim() === '') continue;
    const number = parseNumber(text);
    if (number === null || (positive && number <= 0))
      return `${label}: expected a number${positive ? ' above 0' : ''}, read “${text.trim()}”`;
  }
  return null;
}
