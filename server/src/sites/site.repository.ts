import { raw, type EntityManager } from '@mikro-orm/postgresql';
import { containing, insert } from '../database/insert.ts';
import { digitsIn, holdingNumber } from '../database/phone.ts';
import { siteEntity, type Site } from './site.entity.ts';

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
    byIds: (ids: readonly string[]) => em.find(siteEntity, { id: { $in: [...ids] } }),
    create: (site: Omit<Site, 'version'>) => insert(em, siteEntity, site),
    save: () => em.flush(),
  };
}
