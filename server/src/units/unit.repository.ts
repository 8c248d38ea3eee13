import type { EntityManager } from '@mikro-orm/postgresql';
import { idsOf, inOrder, insert } from '../database/insert.ts';
import { holds } from '../database/search.ts';
import { unitEntity, type Unit } from './unit.entity.ts';

export function unitRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(unitEntity, { id }),
    byIds: (ids: readonly string[]) => em.find(unitEntity, { id: { $in: [...ids] } }),
    /** By name, tag or plate, in the order of a list. */
    async search(
      text: string,
      siteId: string | null,
      archived: boolean,
      limit: number,
    ): Promise<readonly Unit[]> {
      const held = holds(['name', 'tag', 'plate'], text);
      const rows = await em.execute<{ id: string }[]>(
        `select id from unit where archived_at is ${archived ? 'not ' : ''}null and ${held.sql}
            ${siteId === null ? '' : 'and site_id = ?'} order by tag, name, id limit ?`,
        [...held.values, ...(siteId === null ? [] : [siteId]), limit],
      );
      return inOrder(await em.find(unitEntity, { id: { $in: idsOf(rows) } }), idsOf(rows));
    },
    /** Units in use with at least one job, archived or not, of a site or of all, in the order of a list; named with their site. */
    withAnyJob: (siteId: string | null) =>
      em.execute<{ id: string; name: string; site: string }[]>(
        `select u.id, concat_ws(' ', nullif(u.tag, ''), u.name) as name, s.name as site from unit u join site s on s.id = u.site_id
          where u.archived_at is null ${siteId === null ? '' : 'and u.site_id = ?'}
            and exists (select 1 from job j where j.unit_id = u.id)
          order by s.name, u.tag, u.name, u.id`,
        siteId === null ? [] : [siteId],
      ),
    /** Units in use of which no job was handed over, oldest first: some of them, and how many there are. */
    async withoutSheet(limit: number) {
      const from = `from unit u join site s on s.id = u.site_id
          where u.archived_at is null and s.archived_at is null
            and not exists (select 1 from job j where j.unit_id = u.id and jsonb_typeof(j.summary->'handedOver') = 'object')`;
      const rows = await em.execute<{ id: string; tag: string; name: string; site_name: string }[]>(
        `select u.id, u.tag, u.name, s.name as site_name ${from} order by u.created_at, u.id limit ?`,
        [limit],
      );
      const [counted] = await em.execute<{ n: number }[]>(`select count(*)::int as n ${from}`);
      return {
        units: rows.map(({ id, tag, name, site_name }) => ({ id, tag, name, siteName: site_name })),
        total: counted?.n ?? 0,
      };
    },
    create: (unit: Omit<Unit, 'version'>) => insert(em, unitEntity, unit),
    save: () => em.flush(),
  };
}
