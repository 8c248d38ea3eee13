import { JOBS_A_PAGE, type Job as JobView, type JobState } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { namesOf } from '../people/people.service.ts';
import { mustFindUnit, viewsOf } from '../units/units.service.ts';
import type { Job } from './job.entity.ts';

/** Jobs that are looked for, a page of them, and how many there are. */
export function listJobs(
  services: Services,
  wish: {
    readonly search: string;
    readonly unit?: string | undefined;
    readonly archived: boolean;
    readonly state: JobState;
    readonly person?: string | undefined;
    readonly today?: string | null | undefined;
    readonly page: number;
  },
): Promise<{ readonly jobs: readonly JobView[]; readonly total: number }> {
  return services.database.transaction(async (repositories) => {
    const { jobs, total } = await repositories.jobs.search({
      text: wish.search,
      unitId: wish.unit ?? null,
      archived: wish.archived,
      state: wish.state,
      personId: wish.person ?? null,
      today: wish.today ?? services.now().toISOString().slice(0, 10),
      offset: wish.page * JOBS_A_PAGE,
      limit: JOBS_A_PAGE,
    });
    return { jobs: await jobViews(repositories, jobs), total };
  });
}

export function readJob(services: Services, id: string): Promise<JobView> {
  return services.database.transaction(
    async (repositories) => (await jobViews(repositories, [await mustFindJob(repositories, id)]))[0]!,
  );
}

/** A job of which nobody has said who goes when; its summary is computed a moment later. */
export const unplanned = {
  assignedTo: null,
  plannedFor: null,
  waitsFor: '',
  summary: null,
  summaryOf: -1,
} as const;

export function createJob(
  services: Services,
  person: SignedIn,
  job: { readonly unitId: string; readonly title: string },
): Promise<JobView> {
  return services.database.transaction(async (repositories) => {
    const unit = await mustFindUnit(repositories, job.unitId);
    if (unit.archivedAt !== null)
      throw new AppError('conflict', `${unit.name} is archived; restore it first`);
    const created = await repositories.jobs.create({
      id: randomUUID(),
      ...job,
      lastSequence: 0,
      createdBy: person.id,
      createdAt: services.now(),
      archivedAt: null,
      ...unplanned,
    });
    return (await jobViews(repositories, [created]))[0]!;
  });
}

export function changeJob(
  services: Services,
  id: string,
  change: {
    readonly title?: string | undefined;
    readonly assignedTo?: string | null | undefined;
    readonly plannedFor?: string | null | undefined;
    readonly waitsFor?: string | undefined;
    readonly archived?: boolean | undefined;
    readonly version: number;
  },
): Promise<JobView> {
  return services.database.transaction(async (repositories) => {
    const job = await mustFindJob(repositories, id);
    if (job.version !== change.version)
      throw new AppError('conflict', 'The job was changed by somebody else meanwhile; look again');
    if (change.title !== undefined) job.title = change.title;
    if (change.assignedTo !== undefined) {
      if (change.assignedTo !== null) await mustBeAtWork(repositories, change.assignedTo);
      job.assignedTo = change.assignedTo;
    }
    if (change.plannedFor !== undefined) job.plannedFor = change.plannedFor;
    if (change.waitsFor !== undefined) job.waitsFor = change.waitsFor;
    if (change.archived !== undefined)
      job.archivedAt = change.archived ? (job.archivedAt ?? services.now()) : null;
    await repositories.jobs.save();
    return (await jobViews(repositories, [job]))[0]!;
  });
}

/** Nobody who cannot sign in, or may only look, is sent anywhere. */
export async function mustBeAtWork(repositories: Repositories, personId: string): Promise<void> {
  const person = await repositories.people.byId(personId);
  if (!person || person.disabledAt !== null || person.role === 'viewer')
    throw new AppError('badInput', 'assignedTo: expected a technician or lead who can sign in');
}

export async function mustFindJob(repositories: Repositories, id: string): Promise<Job> {
  const job = await repositories.jobs.byId(id);
  if (!job) throw new AppError('notFound', 'No such job');
  return job;
}

export async function jobViews(
  repositories: Repositories,
  jobs: readonly Job[],
): Promise<readonly JobView[]> {
  const units = await viewsOf(
    repositories,
    await repositories.units.byIds([...new Set(jobs.map((job) => job.unitId))]),
  );
  const unitById = new Map(units.map((unit) => [unit.id, unit]));
  const names = await namesOf(
    repositories,
    jobs.flatMap((job) => [job.createdBy, ...(job.assignedTo ? [job.assignedTo] : [])]),
  );
  return jobs.map((job) => ({
    id: job.id,
    title: job.title,
    unit: unitById.get(job.unitId)!,
    createdAt: job.createdAt.toISOString(),
    createdBy: names[job.createdBy] ?? '',
    assignedTo: job.assignedTo ? { id: job.assignedTo, name: names[job.assignedTo] ?? '' } : null,
    plannedFor: job.plannedFor ?? null,
    waitsFor: job.waitsFor,
    summary: job.summary ?? null,
    lastSequence: job.lastSequence,
    archived: job.archivedAt !== null,
    version: job.version,
  }));
}
