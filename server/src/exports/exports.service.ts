import { randomUUID } from 'node:crypto';
import type { TableName } from '@brine/contract/routes';
import { storeDefinition } from '../controllers/controllers.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Means, Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { materialOf } from '../jobs/jobMaterial.ts';
import { mustFindJob, unplanned } from '../jobs/jobs.service.ts';
import { unitName } from '../units/unitName.ts';
import { unitView } from '../units/units.service.ts';
import type { JobApart } from './import.task.ts';

/** A table of a job by its name, as the bytes of its file. */
export async function tableOf(
  services: Services,
  jobId: string,
  name: TableName,
  format: 'csv' | 'xlsx',
): Promise<Uint8Array> {
  const { material } = await gathered(services, jobId);
  return services.threads.run('tableFile', { material, name, format });
}

/** The follow-ups of a job as a calendar. */
export async function calendarOfJob(services: Services, jobId: string): Promise<string> {
  const { material, unit } = await gathered(services, jobId);
  return services.threads.run('calendarFile', {
    material,
    jobId,
    unit: unitName(unit),
    site: unit.siteName,
    now: services.now(),
  });
}

/** A job with its history, definitions and pictures, to move to another installation, as text. Logs stay: they have a file of their own. */
export async function jobFileOf(means: Means, jobId: string, signal?: AbortSignal): Promise<string> {
  const input = await means.database.transaction(async (repositories) => {
    const { job, unit, material } = await gatheredIn(repositories, jobId);
    const [site] = await repositories.sites.byIds([unit.siteId]);
    const pictures = await repositories.pictures.namedIn(jobId);
    return {
      material,
      head: {
        site: { name: unit.siteName, place: site?.place ?? '' },
        unit: { name: unit.name, tag: unit.tag, plate: unit.plate },
        title: job.title,
      },
      pictures: Object.fromEntries(pictures.map((p) => [p.id, new Uint8Array(p.bytes)])),
    };
  });
  return means.threads.run('jobFileText', input, signal);
}

function gathered(services: Services, jobId: string) {
  return services.database.transaction((repositories) => gatheredIn(repositories, jobId));
}

async function gatheredIn(repositories: Repositories, jobId: string) {
  const job = await mustFindJob(repositories, jobId);
  const unit = await unitView(repositories, job.unitId);
  return { job, unit, material: await materialOf(repositories, jobId, unit.name) };
}

/**
 * Takes in a job from another installation as a new job on a unit of that name (made where there is none). Every entry is marked as foreign, with who wrote it
 * there; ids are new, so that the same file can be taken in twice without mixing. `text` is the body of the request: it is read in a thread.
 */
export async function importJob(
  services: Services,
  person: SignedIn,
  text: string,
): Promise<{ readonly jobId: string }> {
  const job = await services.threads.run('takenApart', text);
  if ('problem' in job) throw new AppError('badInput', job.problem);
  return services.database.transaction(async (repositories) => {
    for (const definition of job.controllers) await storeDefinition(repositories, definition, services.now());
    const unitId = await unitFor(repositories, services, job.head);
    const jobId = randomUUID();
    await repositories.jobs.create({
      id: jobId,
      unitId,
      title: job.head.title,
      lastSequence: job.entries,
      createdBy: person.id,
      createdAt: services.now(),
      archivedAt: null,
      ...unplanned,
    });
    for (const { id, bytes } of job.pictures)
      await repositories.pictures.create({
        id,
        jobId,
        authorId: person.id,
        bytes: Buffer.from(bytes),
        createdAt: services.now(),
      });
    for (const piece of job.pieces)
      await repositories.entries.createFromJson(piece, jobId, person.id, services.now());
    return { jobId };
  });
}

async function unitFor(
  repositories: Repositories,
  services: Services,
  head: JobApart['head'],
): Promise<string> {
  const siteId =
    (await repositories.sites.named(head.site.name)) ??
    (
      await repositories.sites.create({
        id: randomUUID(),
        name: head.site.name,
        place: head.site.place,
        note: '',
        customer: '',
        contact: '',
        phone: '',
        archivedAt: null,
        createdAt: services.now(),
      })
    ).id;
  return (
    (await repositories.units.named(siteId, head.unit.name, head.unit.tag)) ??
    (
      await repositories.units.create({
        id: randomUUID(),
        siteId,
        ...head.unit,
        archivedAt: null,
        createdAt: services.now(),
      })
    ).id
  );
}
