import type { AuditKind } from '@brine/contract/routes';
import { pageOf, type Page } from '../database/page.ts';
import type { Reader } from '../database/reader.ts';

/** Which events are looked for. */
export interface AuditWish {
  readonly kind: AuditKind | null;
  readonly personId: string | null;
  readonly after: string | null;
  readonly limit: number;
}

/** What is read of the audit. */
export function auditReads(reader: Reader) {
  return {
    /** Events by their ids, the newest first, and how many there are. */
    search: ({ kind, personId, after, limit }: AuditWish): Promise<Page> =>
      pageOf(reader, {
        from: 'audit a',
        id: 'a.id',
        conditions: [
          ...(kind === null ? [] : [{ sql: 'a.kind = ?', values: [kind] }]),
          ...(personId === null ? [] : [{ sql: 'a.person_id = ?', values: [personId] }]),
        ],
        keys: [{ sql: 'a.id', type: 'bigint', down: true }],
        after,
        limit,
        typed: false,
      }),
    /** Events as pages see them, in the order of the ids, as the text of a list. */
    async viewsText(ids: readonly string[]): Promise<string> {
      if (ids.length === 0) return '[]';
      const [row] = await reader.rows<{ views: string }>(
        `select coalesce(json_agg(json_build_object('id', a.id::text, 'at', to_char(a.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
                  'kind', a.kind, 'who', coalesce(p.name, ''), 'login', coalesce(p.login, a.login), 'address', a.address, 'browser', a.browser,
                  'about', a.about) order by a.id desc), '[]')::text as views
           from audit a left join person p on p.id = a.person_id where a.id = any(?::bigint[])`,
        [`{${ids.join(',')}}`],
      );
      return row!.views;
    },
  };
}
