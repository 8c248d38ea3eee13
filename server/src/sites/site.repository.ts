import { raw, type EntityManager } from '@mikro-orm/postgresql';
import { containing, holding, insert } from '../database/insert.ts';
import { digitsIn, holdingNumber } from '../database/phone.ts';
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

/** SQL for “one of these columns holds the text, or this one the number”, with its values. */
function holds(columns: readonly string[], text: string, phone?: string) {
  if (text === '') return { sql: 'true', values: [] };
  const number = phone === undefined ? null : holdingNumber(text);
  return {
    sql: [`${holding(columns)} ilike ?`, ...(number === null ? [] : [`${digitsIn(phone!)} like ?`])].join(
      ' or ',
    ),
    values: [containing(text), ...(number === null ? [] : [number])],
  };
}

export function siteRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(siteEntity, { id }),
    /** By name, place, customer, contact, or by a telephone number however it is spaced. */
    search: (text: string, archived: boolean, limit: number) => {
      const number = holdingNumber(text);
      return em.find(
        siteEntity,
        {
          archivedAt: archived ? { $ne: null } : null,
          ...(text !== '' && {
            $or: [
              ...(['name', 'place', 'customer', 'contact'] as const).map((field) => ({
                [field]: { $ilike: containing(text) },
              })),
              ...(number === null ? [] : [{ [raw(digitsIn('phone'))]: { $like: number } }]),
            ],
          }),
        },
        { orderBy: { name: 'asc' }, limit },
      );
    },
    /** Sites that hold the text themselves or in a unit, in order of name: those of one page, and how many there are. */
    async places({ text, archived, offset, limit }: PlacesWish): Promise<FoundPlaces> {
      const own = holds(['s.name', 's.place', 's.customer', 's.contact'], text, 's.phone');
      const unit = holds(['u.name', 'u.tag', 'u.plate'], text);
      const here = archived ? 'is not null' : 'is null';
      // Of what is archived a site is told that is archived itself, or of which a unit is.
      const alone = archived ? 's.archived_at is not null' : 'true';
      const where = `${archived ? 'true' : 's.archived_at is null'} and ((${alone} and ${own.sql}) or exists (
        select 1 from unit u where u.site_id = s.id and u.archived_at ${here} and ((${own.sql}) or (${unit.sql}))))`;
      const values = [...own.values, ...own.values, ...unit.values];
      // Counted in the same pass: each looks at every site.
      const rows = await em.execute<{ id: string; n: number }[]>(
        `select s.id, count(*) over ()::int as n from site s where ${where} order by s.name, s.id limit ? offset ?`,
        [...values, limit, offset],
      );
      const beyond = rows.length === 0 && offset > 0;
      const [counted] = beyond
        ? await em.execute<{ n: number }[]>(`select count(*)::int as n from site s where ${where}`, values)
        : rows;
      const siteIds = rows.map(({ id }) => id);
      const units =
        siteIds.length === 0
          ? []
          : await em.execute<{ id: string }[]>(
              `select u.id from unit u join site s on s.id = u.site_id
                where u.archived_at ${here} and s.id in (${siteIds.map(() => '?').join(', ')}) and ((${own.sql}) or (${unit.sql}))
                order by u.tag, u.name, u.id`,
              [...siteIds, ...own.values, ...unit.values],
            );
      return { siteIds, unitIds: units.map(({ id }) => id), total: counted?.n ?? 0 };
    },
    byIds: (ids: readonly string[]) => em.find(siteEntity, { id: { $in: [...ids] } }),
    create: (site: Omit<Site, 'version'>) => insert(em, siteEntity, site),
    save: () => em.flush(),
  };
}
