import type { AuditKind } from '@brine/contract/routes';
import { listText, type Told } from '../database/listText.ts';
import { pageOf, type Page } from '../database/page.ts';
import type { Reader } from '../database/reader.ts';

/** Which events are looked for. */
export interface AuditWish {
  readonly kind: AuditKind | null;
  readonly personId: string | null;
  readonly after: string | null;
  readonly limit: number;
}

/** Events as pages see them. */
const told: Told = {
  view: `json_build_object('id', a.id::text, 'at', to_char(a.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'kind', a.kind,
    'who', coalesce(p.name, ''), 'login', coalesce(p.login, a.login), 'address', a.address, 'browser', a.browser, 'about', a.about)`,
  from: 'audit a left join person p on p.id = a.person_id',
  id: 'a.id',
  type: 'bigint',
};

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
    viewsText: (ids: readonly string[]) => listText(reader, told, ids),
  };
}
