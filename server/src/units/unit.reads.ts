import type { Unit as UnitView } from '@brine/contract/routes';
import type { SortKey } from '../database/cursor.ts';
import { listText, type Told } from '../database/listText.ts';
import { pageOf, type Page } from '../database/page.ts';
import type { Reader } from '../database/reader.ts';
import { holds } from '../database/search.ts';

/** Which units are looked for. */
export interface UnitWish {
  readonly text: string;
  readonly siteId: string | null;
  readonly archived: boolean;
  readonly after: string | null;
  readonly limit: number;
}

const inOrderOfList: readonly SortKey[] = [
  { sql: 'u.tag', type: 'text' },
  { sql: 'u.name', type: 'text' },
  { sql: 'u.id', type: 'uuid' },
];

/** A unit as pages see it, with the name of its site `s`. */
export const UNIT_VIEW = `json_build_object('id', u.id, 'siteId', u.site_id, 'siteName', s.name, 'name', u.name, 'tag', u.tag, 'plate', u.plate,
  'archived', u.archived_at is not null, 'version', u.version)`;

const told: Told = { view: UNIT_VIEW, from: 'unit u join site s on s.id = u.site_id', id: 'u.id' };

/** What is read of units without changing them. */
export function unitReads(reader: Reader) {
  return {
    /** By name, tag or plate, in the order of a list: a page, and how many there are. */
    search: ({ text, siteId, archived, after, limit }: UnitWish): Promise<Page> =>
      pageOf(reader, {
        from: 'unit u',
        id: 'u.id',
        conditions: [
          { sql: `u.archived_at is ${archived ? 'not ' : ''}null`, values: [] },
          ...(siteId === null ? [] : [{ sql: 'u.site_id = ?', values: [siteId] }]),
          ...(text === '' ? [] : [holds('u', text)]),
        ],
        keys: inOrderOfList,
        after,
        limit,
        typed: text !== '',
      }),
    /** Units as pages see them, in the order of the ids, as the text of a list. */
    viewsText: (ids: readonly string[]) => listText(reader, told, ids),
    /** One unit as pages see it; null where there is none. */
    async view(id: string): Promise<UnitView | null> {
      const [row] = await reader.rows<{ view: UnitView }>(
        `select ${told.view} as view from ${told.from} where ${told.id} = ?`,
        [id],
      );
      return row?.view ?? null;
    },
    /** The unit of a site with a name and tag, in use; the one of two that was made first. */
    async named(siteId: string, name: string, tag: string): Promise<string | null> {
      const [row] = await reader.rows<{ id: string }>(
        'select id from unit where archived_at is null and site_id = ? and name = ? and tag = ? order by created_at, id limit 1',
        [siteId, name, tag],
      );
      return row?.id ?? null;
    },
    /** Units in use with at least one job, archived or not, of a site or of all, in the order of a list; named with their site. */
    withAnyJob: (siteId: string | null) =>
      reader.rows<{ id: string; name: string; site: string }>(
        `select u.id, concat_ws(' ', nullif(u.tag, ''), u.name) as name, s.name as site from unit u join site s on s.id = u.site_id
          where u.archived_at is null ${siteId === null ? '' : 'and u.site_id = ?'}
            and exists (select 1 from job j where j.unit_id = u.id)
          order by s.name, u.tag, u.name, u.id`,
        siteId === null ? [] : [siteId],
      ),
    /** Units in use of which no job was handed over, oldest first: some of them, and how many there are. */
    async withoutSheet(limit: number) {
      const from = `from unit u join site s on s.id = u.site_id
          where u.archived_at is null and s.archived_at is null and not u.handed_over`;
      const [rows, [counted]] = await Promise.all([
        reader.rows<{ id: string; tag: string; name: string; site_name: string }>(
          `select u.id, u.tag, u.name, s.name as site_name ${from} order by u.created_at, u.id limit ${limit}`,
        ),
        reader.rows<{ n: number }>(`select count(*)::int as n ${from}`),
      ]);
      return {
        units: rows.map(({ id, tag, name, site_name }) => ({ id, tag, name, siteName: site_name })),
        total: counted?.n ?? 0,
      };
    },
  };
}
