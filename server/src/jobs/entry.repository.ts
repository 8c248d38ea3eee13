import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { entryEntity, type StoredEntry } from './entry.entity.ts';

/** A job that names a control, with the unit it is for. */
export interface ControlPlace {
  readonly unit: string;
  readonly tag: string;
  readonly site: string;
  readonly job: string;
  readonly title: string;
  readonly role: 'old' | 'new';
  readonly version: string;
  readonly hash: string;
}

export function entryRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(entryEntity, { id }),
    byDevice: (jobId: string, device: string, deviceSequence: number) =>
      em.findOne(entryEntity, { jobId, device, deviceSequence }),
    after: (jobId: string, sequence: number, limit: number) =>
      em.find(entryEntity, { jobId, sequence: { $gt: sequence } }, { orderBy: { sequence: 'asc' }, limit }),
    /** Where a family stands now, by the latest word of each job on its old and its new control; newest job first. */
    async usesOf(definitionId: string, limit: number): Promise<readonly ControlPlace[]> {
      return em.execute<ControlPlace[]>(
        `select u.name as unit, u.tag, s.name as site, j.id as job, j.title, c.role, c.version, c.hash
           from (select distinct on (job_id, body ->> 'role') job_id, body ->> 'role' as role,
                        body -> 'definition' ->> 'id' as definition_id, body -> 'definition' ->> 'version' as version,
                        body -> 'definition' ->> 'hash' as hash
                   from entry where body ->> 'kind' = 'control'
                  order by job_id, body ->> 'role', sequence desc) c
           join job j on j.id = c.job_id join unit u on u.id = j.unit_id join site s on s.id = u.site_id
          where c.definition_id = ? order by j.created_at desc, c.role limit ?`,
        [definitionId, limit],
      );
    },
    create: (entry: StoredEntry) => insert(em, entryEntity, entry),
    createAll: (entries: readonly StoredEntry[]) => em.insertMany(entryEntity, [...entries]),
  };
}
