import type { JobSummary } from '@brine/contract/routes';
import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { readerOn } from '../database/reader.ts';
import { jobEntity, type Job } from './job.entity.ts';
import { jobReads } from './job.reads.ts';

export function jobRepository(em: EntityManager) {
  return {
    ...jobReads(readerOn(em)),
    byId: (id: string) => em.findOne(jobEntity, { id }),
    /**
     * The job with its row locked until the transaction ends: sequences of one job are given out one at a time. The lock lets pass what only points at the job,
     * such as a log of it that is being loaded for half a minute.
     */
    async lock(id: string): Promise<Job | null> {
      await em.execute('select 1 from job where id = ? for no key update', [id]);
      return em.findOne(jobEntity, { id }, { refresh: true });
    },
    /** The jobs of the unit of a job, archived ones left out, each locked; one order for all, so that two do not wait for each other. */
    async lockOfOneUnit(id: string): Promise<readonly Job[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where unit_id = (select unit_id from job where id = ?) and archived_at is null
          order by id for no key update`,
        [id],
      );
      return em.find(jobEntity, { id: { $in: rows.map((row) => row.id) } }, { refresh: true });
    },
    /** Jobs of a unit, newest first. */
    ofUnit: (unitId: string) => em.find(jobEntity, { unitId }, { orderBy: { createdAt: 'desc' } }),
    /** Jobs that went on since they were summarised, some of them by chance. */
    toSummarise: (limit: number) =>
      em
        .execute<{ id: string; unit_id: string }[]>(
          'select id, unit_id from job where summary_of < last_sequence order by random() limit ?',
          [limit],
        )
        .then((rows) => rows.map((row) => ({ id: row.id, unitId: row.unit_id }))),
    /** Keeps the summary of a job as of a sequence, unless a later one stands; without one what stood is kept, and is not tried again. */
    async keepSummary(id: string, sequence: number, summary: JobSummary | undefined): Promise<void> {
      await em.execute(
        `update job set summary_of = ?, summary = coalesce(?::jsonb, summary) where id = ? and summary_of < ?`,
        [sequence, summary === undefined ? null : JSON.stringify(summary), id, sequence],
      );
    },
    /** Has every job in use summarised anew. */
    summariseAnew: () => em.execute('update job set summary_of = -1 where archived_at is null'),
    create: (job: Omit<Job, 'version'>) => insert(em, jobEntity, job),
    /** Takes the next sequence, without touching the version: adding an entry is no edit of the job. */
    async setLastSequence(job: Job, sequence: number): Promise<void> {
      await em.nativeUpdate(jobEntity, { id: job.id }, { lastSequence: sequence });
    },
    save: () => em.flush(),
  };
}
