import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { pictureEntity, type StoredPicture } from './picture.entity.ts';

export function pictureRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(pictureEntity, { id }),
    create: (picture: StoredPicture) => insert(em, pictureEntity, picture),
    countOf: (jobId: string) => em.count(pictureEntity, { jobId }),
  };
}
