import type { EntityManager } from '@mikro-orm/postgresql';
import { idsOf, inOrder, insert } from '../database/insert.ts';
import { holds } from '../database/search.ts';
import { siteEntity, type Site } from './site.entity.ts';

/** Which sites are looked for. */
export interface PlacesWish {
  readonly text: string;
  readonly archived: boolean;
  readonly offset: number;
  readonly limit: number;
}

/** Sites of a page with their units, in order, and how many sites there are. */
export interface FoundPlaces {
  readonly siteIds: readonly string[];
  readonly unitIds: readonly string[];
  readonly total: number;
}

/** What a site is found by. */
const own = (text: string) => holds(['s.name', 's.place', 's.customer', 's.contact'], text, 's.phone');

export function siteRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(siteEntity, { id }),
    /** By name, place, customer, contact, or by a telephone number however it is spaced; in order of name. */
    async search(text: string, archived: boolean, limit: number): Promise<readonly Site[]> {
      const held = own(text);
      const rows = await em.execute<{ id: string }[]>(
        `select s.id from site s where s.archived_at is ${archived ? 'not ' : ''}null and ${held.sql} order by s.name, s.id limit ?`,
        [...held.values, limit],
      );
      return inOrder(await em.find(siteEntity, { id: { $in: idsOf(rows) } }), idsOf(rows));
    },
    /** Sites that hold the text themselves or in a unit, in order of name: those of one page, and how many there are. */
    async places({ text, archived, offset, limit }: PlacesWish): Promise<FoundPlaces> {
      const site = own(text);
      const unit = holds(['u.name', 'u.tag', 'u.plate'], text);
      const here = archived ? 'is not null' : 'is null';
      // Of what is archived a site is told that is archived itself, or of which a unit is.
      const held = archived
        ? `s.id in (select s.id from site s where s.archived_at is not null and ${site.sql}
             union select u.site_id from unit u where u.archived_at is not null and ${unit.sql}
             union select u.site_id from unit u join site s on s.id = u.site_id where u.archived_at is not null and ${site.sql})`
        : `s.archived_at is null and s.id in (select s.id from site s where ${site.sql}
             union select u.site_id from unit u where u.archived_at is null and ${unit.sql})`;
      const where = text === '' && !archived ? 's.archived_at is null' : held;
      const values = text === '' ? [] : [...site.values, ...unit.values, ...(archived ? site.values : [])];
      // Two statements: a page is found by its order, and counting needs none.
      const rows = await em.execute<{ id: string }[]>(
        `select s.id from site s where ${where} order by s.name, s.id limit ? offset ?`,
        [...values, limit, offset],
      );
      const isAll = offset === 0 && rows.length < limit;
      const [counted] = isAll
        ? [{ n: rows.length }]
        : await em.execute<{ n: number }[]>(`select count(*)::int as n from site s where ${where}`, values);
      const siteIds = idsOf(rows);
      const units =
        siteIds.length === 0
          ? []
          : await em.execute<{ id: string }[]>(
              `select u.id from unit u join site s on s.id = u.site_id
                where u.archived_at ${here} and s.id in (${siteIds.map(() => '?').join(', ')}) and ((${site.sql}) or (${unit.sql}))
                order by u.tag, u.name, u.id`,
              [...siteIds, ...site.values, ...unit.values],
            );
      return { siteIds, unitIds: idsOf(units), total: counted?.n ?? 0 };
    },
    byIds: (ids: readonly string[]) => em.find(siteEntity, { id: { $in: [...ids] } }),
    create: (site: Omit<Site, 'version'>) => insert(em, siteEntity, site),
    save: () => em.flush(),
  };
}
