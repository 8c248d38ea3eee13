import { AppError } from '../http/errors.ts';
import type { Condition } from './search.ts';

/** What a list is sorted by, in turn; the last must tell any two rows apart. */
export interface SortKey {
  /** An expression that is never null. */
  readonly sql: string;
  /** Its type, as a cast has it. */
  readonly type: 'text' | 'timestamptz' | 'date' | 'uuid' | 'bigint';
  /** From the last to the first. */
  readonly down?: boolean;
}

/** As `order by` has them. */
export const orderOf = (keys: readonly SortKey[]): string =>
  keys.map(({ sql, down }) => `${sql}${down ? ' desc' : ''}`).join(', ');

/** The keys of a row as an array of texts, from which {@link cursorOf} makes where the next page starts. */
export const keysOf = (keys: readonly SortKey[]): string =>
  `array[${keys.map(({ sql }) => `(${sql})::text`).join(', ')}]`;

/** Where the page after a row starts, as an answer tells it and the next request gives it back. */
export const cursorOf = (values: readonly string[]): string =>
  Buffer.from(JSON.stringify(values)).toString('base64url');

/**
 * The condition that a row comes after the one a cursor names; rows that came or went meanwhile move nothing. `null` is the first page.
 *
 * @throws AppError badInput where the cursor is none of a list with these keys
 */
export function afterCursor(keys: readonly SortKey[], cursor: string | null): Condition {
  if (cursor === null) return { sql: 'true', values: [] };
  const values = valuesIn(cursor);
  if (values?.length !== keys.length)
    throw new AppError('badInput', 'after: expected what the page before told as next');
  const condition = beyond(keys, values);
  // Said once more of the first alone: an index in this order is entered at the place.
  const [first] = keys as readonly [SortKey, ...SortKey[]];
  return {
    sql: `${first.sql} ${first.down ? '<=' : '>='} ?::${first.type} and ${condition.sql}`,
    values: [values[0], ...condition.values],
  };
}

/** That the first key goes on, or is the same and the others go on. */
function beyond([key, ...rest]: readonly SortKey[], [value, ...others]: readonly string[]): Condition {
  const further = `${key!.sql} ${key!.down ? '<' : '>'} ?::${key!.type}`;
  if (rest.length === 0) return { sql: further, values: [value] };
  const below = beyond(rest, others);
  return {
    sql: `(${further} or (${key!.sql} = ?::${key!.type} and ${below.sql}))`,
    values: [value, value, ...below.values],
  };
}

function valuesIn(cursor: string): readonly string[] | null {
  try {
    const values = JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8')) as unknown;
    return Array.isArray(values) && values.every((value) => typeof value === 'string') ? values : null;
  } catch {
    return null;
  }
}
