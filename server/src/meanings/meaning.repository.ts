import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { meaningEntity, type Meaning } from './meaning.entity.ts';

export function meaningRepository(em: EntityManager) {
  return {
    create: (meaning: Meaning) => insert(em, meaningEntity, meaning),
    newest: (limit: number) =>
      em.find(meaningEntity, {}, { orderBy: { chosenAt: 'desc', id: 'asc' }, limit }),
  };
}
