import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Job } from './job.entity.ts';

/** What belongs to the unit, not to the job it was written in: its own box, whether that is used, what was predicted of it. */
const OF_THE_UNIT = ['learned', 'boxChoice', 'predicted'] as const;

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
