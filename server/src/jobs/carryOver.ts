import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { EntryBody } from '@brine/core/record/entries';
import type { StoredEntry } from './entry.entity.ts';
import type { Job } from './job.entity.ts';

/** What belongs to the unit, not to the job it was written in: its own box, whether that is used, what was predicted of it. */
const OF_THE_UNIT = ['learned', 'boxChoice', 'predicted'] as const;
/** What goes to the unit's other open jobs at once. A prediction does not: it is of one job's program. */
const SHARED_AT_ONCE: ReadonlySet<string> = new Set(['learned', 'boxChoice']);

/** Whether an entry belongs to every open job of the unit. */
export const isShared = ({ kind }: EntryBody): boolean => SHARED_AT_ONCE.has(kind);

/** Writes what belongs to the unit into its other open jobs, under its author and time. Its jobs are locked already. */
export async function shareOut(
  repositories: Repositories,
  jobs: readonly Job[],
  entry: StoredEntry,
): Promise<void> {
  for (const job of jobs) {
    if (job.id === entry.jobId) continue;
    const sequence = job.lastSequence + 1;
    await repositories.entries.create({
      ...entry,
      id: randomUUID(),
      jobId: job.id,
      sequence,
      device: randomUUID(),
      deviceSequence: 1,
      seen: job.lastSequence,
    });
    await repositories.jobs.setLastSequence(job, sequence);
  }
}

/** Writes into a new job what earlier ones learned of its unit, under those who wrote it and their time. */
export async function carryOver(repositories: Repositories, job: Job, now: Date): Promise<void> {
  const latest = await repositories.entries.latestOfUnit(job.unitId, OF_THE_UNIT);
  const learned = latest.find(({ body }) => body.kind === 'learned');
  if (learned?.body.kind !== 'learned' || learned.body.box === null) return;
  const device = randomUUID();
  await repositories.entries.createAll(
    latest.map(({ body, deviceTime, authorId }, i) => ({
      id: randomUUID(),
      jobId: job.id,
      sequence: job.lastSequence + 1 + i,
      device,
      deviceSequence: i + 1,
      deviceTime,
      seen: 0,
      authorId,
      body,
      receivedAt: now,
      foreignFrom: null,
    })),
  );
  await repositories.jobs.setLastSequence(job, job.lastSequence + latest.length);
}
