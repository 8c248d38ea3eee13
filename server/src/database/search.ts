/** A condition of SQL with the values for its question marks. */
export interface Condition {
  readonly sql: string;
  readonly values: readonly unknown[];
}

/**
 * The condition that a row holds what a person typed: in one of the columns, which are searched as one text (a line each: what is typed in a field has no line break), or
 * as digits of a telephone number, however either is spaced. Nothing typed is held by every row. Written as the indexes of words have it (Migration0020).
 */
export function holds(columns: readonly string[], typed: string, phone?: string): Condition {
  if (typed === '') return { sql: 'true', values: [] };
  const number = phone === undefined ? null : holdingNumber(typed);
  const text = `(${columns.join(" || E'\\n' || ")}) ilike ?`;
  if (number === null) return { sql: text, values: [containing(typed)] };
  return { sql: `(${text} or ${digitsIn(phone!)} like ?)`, values: [containing(typed), number] };
}

/** A `like` pattern that finds text typed by a person: its own wildcards are taken literally. */
export const containing = (text: string): string => `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** Of fewer digits every telephone number holds some. */
const LEAST_DIGITS = 4;

/** A telephone number in a column, without what people write between its digits; an index holds the same (Migration0013). */
const digitsIn = (column: string): string => `regexp_replace(${column}, '[^0-9]', '', 'g')`;

/** A `like` pattern for the digits in what was typed; null where there are too few to mean a number. */
function holdingNumber(typed: string): string | null {
  const digits = typed.replace(/\D/g, '');
  return digits.length >= LEAST_DIGITS ? `%${digits}%` : null;
}
