import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { entryEntity, type StoredEntry } from './entry.entity.ts';

export function entryRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(entryEntity, { id }) as Promise<StoredEntry | null>,
    byDevice: (jobId: string, device: string, deviceSequence: number) =>
      em.findOne(entryEntity, { jobId, device, deviceSequence }) as Promise<StoredEntry | null>,
    after: (jobId: string, sequence: number, limit: number) =>
      em.find(
        entryEntity,
        { jobId, sequence: { $gt: sequence } },
        { orderBy: { sequence: 'asc' }, limit },
      ) as Promise<StoredEntry[]>,
    create: (entry: StoredEntry) => insert(em, entryEntity, entry as never),
  };
}
