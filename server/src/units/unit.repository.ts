import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { readerOn } from '../database/reader.ts';
import { unitEntity, type Unit } from './unit.entity.ts';
import { unitReads } from './unit.reads.ts';

export function unitRepository(em: EntityManager) {
  return {
    ...unitReads(readerOn(em)),
    byId: (id: string) => em.findOne(unitEntity, { id }),
    create: (unit: Omit<Unit, 'version'>) => insert(em, unitEntity, unit),
    save: () => em.flush(),
  };
}
