import { afterCursor, cursorOf, keysOf, orderOf, type SortKey } from './cursor.ts';
import type { Reader } from './reader.ts';
import type { Condition } from './search.ts';

/** Which rows of a list, in which order, from where. */
export interface PageWish {
  /** `from` with its joins. */
  readonly from: string;
  /** Joins that only the order needs. */
  readonly orderJoins?: string;
  /** The column with a row's id. */
  readonly id: string;
  readonly conditions: readonly Condition[];
  readonly keys: readonly SortKey[];
  readonly after: string | null;
  readonly limit: number;
  /** True where a condition holds what a person typed. */
  readonly typed: boolean;
}

/** A page of ids, where the next one starts (null after the last), and how many rows there are in all. */
export interface Page {
  readonly ids: readonly string[];
  readonly next: string | null;
  readonly total: number;
}

/** Finds a page by its order, and beside it how many there are: counting needs no order. */
export async function pageOf(reader: Reader, wish: PageWish): Promise<Page> {
  const { from, orderJoins = '', id, conditions, keys, after, limit, typed } = wish;
  const where = (all: readonly Condition[]) => all.map(({ sql }) => sql).join(' and ') || 'true';
  const valuesOf = (all: readonly Condition[]) => all.flatMap(({ values }) => values);
  const ask = typed ? reader.rowsByTyped : reader.rows;
  const here = [...conditions, afterCursor(keys, after)];
  // The limit stands in the text: a plan that is made for any limit sorts everything.
  const asked = ask<{ id: string; keys: string[] }>(
    `select ${id} as id, ${keysOf(keys)} as keys from ${from} ${orderJoins} where ${where(here)} order by ${orderOf(keys)} limit ${limit + 1}`,
    valuesOf(here),
  );
  const counting = ask<{ n: number }>(
    `select count(*)::int as n from ${from} where ${where(conditions)}`,
    valuesOf(conditions),
  );
  const [rows, [counted]] = await Promise.all([asked, counting]);
  const page = rows.slice(0, limit);
  return {
    ids: page.map((row) => row.id),
    next: rows.length > limit ? cursorOf(page.at(-1)!.keys) : null,
    total: counted?.n ?? 0,
  };
}
