/** A condition of SQL with the values for its question marks. */
export interface Condition {
  readonly sql: string;
  readonly values: readonly unknown[];
}

/**
 * The condition that a row holds what a person typed, in small or large letters: in its words, which the database keeps in small letters beside the row (a line a column:
 * what is typed in a field has no line break), or as digits of a telephone number, however either is spaced. Nothing typed is held by every row. Written as the
 * indexes of words have it (Migration0021).
 *
 * @param row what the row is called in the statement
 */
export function holds(row: string, typed: string, also?: 'digits'): Condition {
  if (typed === '') return { sql: 'true', values: [] };
  const number = also === undefined ? null : holdingNumber(typed);
  const text = `${row}.words like lower(?)`;
  if (number === null) return { sql: text, values: [containing(typed)] };
  return { sql: `(${text} or ${row}.digits like ?)`, values: [containing(typed), number] };
}

/** A `like` pattern that finds text typed by a person: its own wildcards are taken literally. */
export const containing = (text: string): string => `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** Of fewer digits every telephone number holds some. */
const LEAST_DIGITS = 4;

/** A `like` pattern for the digits in what was typed; null where there are too few to mean a number. */
function holdingNumber(typed: string): string | null {
  const digits = typed.replace(/\D/g, '');
  return digits.length >= LEAST_DIGITS ? `%${digits}%` : null;
}
