import type { EntityManager } from '@mikro-orm/postgresql';
import { containing, insert } from '../database/insert.ts';
import { unitEntity, type Unit } from './unit.entity.ts';

export function unitRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(unitEntity, { id }),
    byIds: (ids: readonly string[]) => em.find(unitEntity, { id: { $in: [...ids] } }),
    search: (text: string, siteId: string | null, archived: boolean, limit: number) =>
      em.find(
        unitEntity,
        {
          archivedAt: archived ? { $ne: null } : null,
          ...(siteId !== null && { siteId }),
          ...(text !== '' && {
            $or: [
              { name: { $ilike: containing(text) } },
              { tag: { $ilike: containing(text) } },
              { plate: { $ilike: containing(text) } },
            ],
          }),
        },
        { orderBy: { tag: 'asc', name: 'asc' }, limit },
      ),
    create: (unit: Omit<Unit, 'version'>) => insert(em, unitEntity, unit),
    save: () => em.flush(),
  };
}
