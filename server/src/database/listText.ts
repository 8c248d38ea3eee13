import type { Reader } from './reader.ts';

/** Rows that are told: what each looks like as JSON, and where it is read from. */
export interface Told {
  /** An expression of JSON. */
  readonly view: string;
  /** `from` with its joins. */
  readonly from: string;
  /** The column with a row's id, and its type. */
  readonly id: string;
  readonly type?: 'uuid' | 'bigint';
}

/** Rows in the order of their ids, as the text of a list of JSON: the database writes it, and it is only sent on. */
export async function listText(
  reader: Reader,
  { view, from, id, type = 'uuid' }: Told,
  ids: readonly string[],
): Promise<string> {
  if (ids.length === 0) return '[]';
  const [row] = await reader.rows<{ views: string }>(
    `select coalesce(json_agg(${view} order by wanted.place), '[]')::text as views
       from unnest(?::${type}[]) with ordinality as wanted (wanted_id, place) join ${from} on ${id} = wanted.wanted_id`,
    [`{${ids.join(',')}}`],
  );
  return row!.views;
}
