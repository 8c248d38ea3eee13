import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { pictureEntity, type StoredPicture } from './picture.entity.ts';

export function pictureRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(pictureEntity, { id }),
    /** Pictures that entries of a job name, those taken back left out. An older stream may name one by what is no id. */
    async namedIn(jobId: string): Promise<readonly StoredPicture[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from picture where id::text in (
           select body ->> 'id' from entry where job_id = ? and body ->> 'kind' = 'picture' and body -> 'gone' is distinct from 'true'::jsonb)`,
        [jobId],
      );
      return em.find(pictureEntity, { id: { $in: rows.map((row) => row.id) } });
    },
    create: (picture: StoredPicture) => insert(em, pictureEntity, picture),
    countOf: (jobId: string) => em.count(pictureEntity, { jobId }),
  };
}
