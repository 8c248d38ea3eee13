import { JOBS_A_PAGE, type Job as JobView, type JobOrder, type JobState } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';
import { mustFindUnit } from '../units/units.service.ts';
import { carryOver } from './carryOver.ts';
import type { Job } from './job.entity.ts';

/** Jobs that are looked for, a page of them, where the next one starts, and how many there are. */
export async function listJobs(
  services: Services,
  wish: {
    readonly search: string;
    readonly unit?: string | undefined;
    readonly archived: boolean;
    readonly state: JobState;
    readonly order: JobOrder;
    readonly person?: string | undefined;
    readonly today?: string | null | undefined;
    readonly after?: string | undefined;
  },
): Promise<WrittenAnswer> {
  const { jobs } = services.database.reads;
  const { ids, next, total } = await jobs.search({
    text: wish.search,
    unitId: wish.unit ?? null,
    archived: wish.archived,
    state: wish.state,
    order: wish.order,
    personId: wish.person ?? null,
    today: wish.today ?? services.now().toISOString().slice(0, 10),
    after: wish.after ?? null,
    limit: JOBS_A_PAGE,
  });
  return writtenAnswer({ jobs: new Written(await jobs.viewsText(ids)), next, total });
}

export async function readJob(services: Services, id: string): Promise<WrittenAnswer> {
  const view = await services.database.reads.jobs.viewText(id);
  if (view === null) throw new AppError('notFound', 'No such job');
  return writtenAnswer({ job: new Written(view) });
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
    await carryOver(repositories, created, services.now());
    return jobView(repositories, created.id);
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
    return jobView(repositories, id);
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

/** A job as pages see it; what was changed has to be written before. */
export async function jobView(repositories: Repositories, id: string): Promise<JobView> {
  const [view] = await repositories.jobs.views([id]);
  if (!view) throw new AppError('notFound', 'No such job');
  return view;
}
