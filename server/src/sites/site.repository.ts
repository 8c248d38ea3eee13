import type { EntityManager } from '@mikro-orm/postgresql';
import { containing, insert } from '../database/insert.ts';
import { siteEntity, type Site } from './site.entity.ts';

export function siteRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(siteEntity, { id }),
    search: (text: string, archived: boolean, limit: number) =>
      em.find(
        siteEntity,
        {
          archivedAt: archived ? { $ne: null } : null,
          ...(text !== '' && {
            $or: [{ name: { $ilike: containing(text) } }, { place: { $ilike: containing(text) } }],
          }),
        },
        { orderBy: { name: 'asc' }, limit },
      ),
    byIds: (ids: readonly string[]) => em.find(siteEntity, { id: { $in: [...ids] } }),
    create: (site: Omit<Site, 'version'>) => insert(em, siteEntity, site),
    save: () => em.flush(),
  };
}
