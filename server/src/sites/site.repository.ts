import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { readerOn } from '../database/reader.ts';
import { siteEntity, type Site } from './site.entity.ts';
import { siteReads } from './site.reads.ts';

export function siteRepository(em: EntityManager) {
  return {
    ...siteReads(readerOn(em)),
    byId: (id: string) => em.findOne(siteEntity, { id }),
    byIds: (ids: readonly string[]) => em.find(siteEntity, { id: { $in: [...ids] } }),
    create: (site: Omit<Site, 'version'>) => insert(em, siteEntity, site),
    save: () => em.flush(),
  };
}
