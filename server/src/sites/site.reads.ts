import type { Site as SiteView } from '@brine/contract/routes';
import type { SortKey } from '../database/cursor.ts';
import { listText, type Told } from '../database/listText.ts';
import { pageOf, type Page } from '../database/page.ts';
import type { Reader } from '../database/reader.ts';
import { holds, type Condition } from '../database/search.ts';
import { UNIT_VIEW } from '../units/unit.reads.ts';

/** Which sites are looked for. */
export interface SiteWish {
  readonly text: string;
  readonly archived: boolean;
  readonly after: string | null;
  readonly limit: number;
}

/** What a site is found by. */
const own = (text: string) => holds('s', text, 'digits');

const byName: readonly SortKey[] = [
  { sql: 's.name', type: 'text' },
  { sql: 's.id', type: 'uuid' },
];

/** Sites as pages see them. */
const told: Told = {
  view: `json_build_object('id', s.id, 'name', s.name, 'place', s.place, 'note', s.note, 'customer', s.customer,
  'contact', s.contact, 'phone', s.phone, 'archived', s.archived_at is not null, 'version', s.version)`,
  from: 'site s',
  id: 's.id',
};

/** What is read of sites without changing them. */
export function siteReads(reader: Reader) {
  /** Which units stand under sites that were found: of one that holds the text itself all, else those that hold it. */
  function underSites(text: string, archived: boolean): Condition {
    const here = `u.archived_at is ${archived ? 'not null' : 'null'}`;
    if (text === '') return { sql: here, values: [] };
    const [site, unit] = [own(text), holds('u', text)];
    return {
      sql: `${here} and ((${site.sql}) or (${unit.sql}))`,
      values: [...site.values, ...unit.values],
    };
  }
  return {
    /** By name, place, customer, contact, or by a telephone number however it is spaced; in order of name. */
    search: ({ text, archived, after, limit }: SiteWish): Promise<Page> =>
      pageOf(reader, {
        from: 'site s',
        id: 's.id',
        conditions: [
          { sql: `s.archived_at is ${archived ? 'not ' : ''}null`, values: [] },
          ...(text === '' ? [] : [own(text)]),
        ],
        keys: byName,
        after,
        limit,
        typed: text !== '',
      }),
    /** Sites that hold the text themselves or in a unit, in order of name: those of one page, and how many there are. */
    places({ text, archived, after, limit }: SiteWish): Promise<Page> {
      const site = own(text);
      const unit = holds('u', text);
      // Of what is archived a site is told that is archived itself, or of which a unit is.
      const held: Condition = archived
        ? {
            sql: `s.id in (select s.id from site s where s.archived_at is not null and ${site.sql}
               union select u.site_id from unit u where u.archived_at is not null and ${unit.sql}
               union select u.site_id from unit u join site s on s.id = u.site_id where u.archived_at is not null and ${site.sql})`,
            values: [...site.values, ...unit.values, ...site.values],
          }
        : {
            sql: `s.archived_at is null and (${site.sql}
               or s.id in (select u.site_id from unit u where u.archived_at is null and ${unit.sql}))`,
            values: [...site.values, ...unit.values],
          };
      return pageOf(reader, {
        from: 'site s',
        id: 's.id',
        conditions: [text === '' && !archived ? { sql: 's.archived_at is null', values: [] } : held],
        keys: byName,
        after,
        limit,
        typed: text !== '',
      });
    },
    /** Sites as pages see them, in the order of the ids, as the text of a list. */
    viewsText: (ids: readonly string[]) => listText(reader, told, ids),
    /** One site as pages see it; null where there is none. */
    async view(id: string): Promise<SiteView | null> {
      const [row] = await reader.rows<{ view: SiteView }>(
        `select ${told.view} as view from ${told.from} where ${told.id} = ?`,
        [id],
      );
      return row?.view ?? null;
    },
    /** The units under sites that were found by a text, by tag and name, as the text of a list. */
    async unitsText(siteIds: readonly string[], text: string, archived: boolean): Promise<string> {
      if (siteIds.length === 0) return '[]';
      const under = underSites(text, archived);
      const ask = text === '' ? reader.rows : reader.rowsByTyped;
      const [row] = await ask<{ views: string }>(
        `select coalesce(json_agg(${UNIT_VIEW} order by u.tag, u.name, u.id), '[]')::text as views
           from unit u join site s on s.id = u.site_id where s.id = any(?::uuid[]) and ${under.sql}`,
        [`{${siteIds.join(',')}}`, ...under.values],
      );
      return row!.views;
    },
    /** The site of a name, in use; the one of two that was made first. */
    async named(name: string): Promise<string | null> {
      const [row] = await reader.rows<{ id: string }>(
        'select id from site where archived_at is null and name = ? order by created_at, id limit 1',
        [name],
      );
      return row?.id ?? null;
    },
  };
}
