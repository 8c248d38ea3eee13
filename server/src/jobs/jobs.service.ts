import type { Job as JobView } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { namesOf } from '../people/people.service.ts';
import { MOST_LISTED } from '../sites/sites.service.ts';
import { mustFindUnit, viewsOf } from '../units/units.service.ts';
import type { Job } from './job.entity.ts';

/** Jobs whose title, unit or site holds the text. */
export function listJobs(
  services: Services,
  search: string,
  unitId: string | null,
  archived: boolean,
): Promise<readonly JobView[]> {
  return services.database.transaction(async (repositories) => {
    const unitIds = await unitsMeant(repositories, search, unitId);
    const jobs = await repositories.jobs.search(
      unitId === null ? search : '',
      unitIds,
      archived,
      MOST_LISTED,
    );
    return jobViews(repositories, jobs);
  });
}

export function readJob(services: Services, id: string): Promise<JobView> {
  return services.database.transaction(
    async (repositories) => (await jobViews(repositories, [await mustFindJob(repositories, id)]))[0]!,
  );
}

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
    });
    return (await jobViews(repositories, [created]))[0]!;
  });
}

export function changeJob(
  services: Services,
  id: string,
  change: {
    readonly title?: string | undefined;
    readonly archived?: boolean | undefined;
    readonly version: number;
  },
): Promise<JobView> {
  return services.database.transaction(async (repositories) => {
    const job = await mustFindJob(repositories, id);
    if (job.version !== change.version)
      throw new AppError('conflict', 'The job was changed by somebody else meanwhile; look again');
    if (change.title !== undefined) job.title = change.title;
    if (change.archived !== undefined)
      job.archivedAt = change.archived ? (job.archivedAt ?? services.now()) : null;
    await repositories.jobs.save();
    return (await jobViews(repositories, [job]))[0]!;
  });
}

export async function mustFindJob(repositories: Repositories, id: string): Promise<Job> {
  const job = await repositories.jobs.byId(id);
  if (!job) throw new AppError('notFound', 'No such job');
  return job;
}

async function unitsMeant(
  repositories: Repositories,
  search: string,
  unitId: string | null,
): Promise<readonly string[] | null> {
  if (unitId !== null) return [unitId];
  if (search === '') return null;
  const units = await repositories.units.search(search, null, false, MOST_LISTED);
  const sites = await repositories.sites.search(search, false, MOST_LISTED);
  const onSites = await Promise.all(
    sites.map((site) => repositories.units.search('', site.id, false, MOST_LISTED)),
  );
  return [...new Set([...units, ...onSites.flat()].map((unit) => unit.id))];
}

async function jobViews(repositories: Repositories, jobs: readonly Job[]): Promise<readonly JobView[]> {
  const units = await viewsOf(
    repositories,
    await repositories.units.byIds([...new Set(jobs.map((job) => job.unitId))]),
  );
  const unitById = new Map(units.map((unit) => [unit.id, unit]));
  const names = await namesOf(
    repositories,
    jobs.map((job) => job.createdBy),
  );
  return jobs.map((job) => ({
    id: job.id,
    title: job.title,
    unit: unitById.get(job.unitId)!,
    createdAt: job.createdAt.toISOString(),
    createdBy: names[job.createdBy] ?? '',
    lastSequence: job.lastSequence,
    archived: job.archivedAt !== null,
    version: job.version,
  }));
}
