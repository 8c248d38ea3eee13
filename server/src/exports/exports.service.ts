import { randomUUID } from 'node:crypto';
import { JOB_FORMAT, readJobFile, type JobFile } from '@brine/contract/files';
import type { TableName } from '@brine/contract/routes';
import { tablesOf, type Table } from '@brine/core/record/handover';
import { isFileProblem } from '@brine/core/foundation/files';
import { provingOf, wiringOf, type Proving } from '@brine/core/record/job';
import type { EntryBody } from '@brine/core/record/entries';
import { readController } from '@brine/core/controllers/panel';
import { storeDefinition } from '../controllers/controllers.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import { programOfJob } from '../jobs/program.service.ts';
import { namesOf } from '../people/people.service.ts';
import { NotJpeg, withoutMetadata } from '../pictures/jpeg.ts';
import { mustFindUnit, viewsOf } from '../units/units.service.ts';
import { calendarOf } from './calendar.ts';

/** An older stream may name a picture by what is no id of one. */
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A table of a job by its name. */
export function tableOf(services: Services, jobId: string, name: TableName): Promise<Table> {
  return services.database.transaction(async (repositories) => {
    const { program, wiring, proving } = await everything(repositories, jobId);
    return tablesOf(program, wiring, proving).find((table) => table.name === name)!;
  });
}

/** The follow-ups of a job as a calendar. */
export function calendarOfJob(services: Services, jobId: string): Promise<string> {
  return services.database.transaction(async (repositories) => {
    const { unit, proving } = await everything(repositories, jobId);
    return calendarOf(
      jobId,
      [unit.tag, unit.name].filter(Boolean).join(' '),
      unit.siteName,
      proving,
      services.now(),
    );
  });
}

async function everything(repositories: Repositories, jobId: string) {
  const job = await mustFindJob(repositories, jobId);
  const unit = (await viewsOf(repositories, [await mustFindUnit(repositories, job.unitId)]))[0]!;
  const { stored, state, program, control } = await programOfJob(repositories, jobId, unit.name);
  const wiring = wiringOf(state, program.unit, control);
  const proving: Proving = provingOf(state, program, wiring, control, null, program.display?.unit ?? 'degC');
  return { job, unit, stored, program, wiring, proving };
}

/** A job with its history, definitions and pictures, to move to another installation. Logs stay: they have a file of their own. */
export function jobFileOf(services: Services, jobId: string): Promise<JobFile> {
  return services.database.transaction(async (repositories) => {
    const { job, unit, stored } = await everything(repositories, jobId);
    const site = await repositories.sites.byIds([unit.siteId]);
    const names = await namesOf(
      repositories,
      stored.map((e) => e.authorId),
    );
    const hashes = new Set(
      stored.flatMap((e) => (e.body.kind === 'control' && e.body.definition ? [e.body.definition.hash] : [])),
    );
    const controllers = await Promise.all(
      [...hashes].map(async (hash) => (await repositories.controllers.byHash(hash))?.data),
    );
    const ids = new Set(
      stored.flatMap((e) =>
        e.body.kind === 'picture' && !e.body.gone && UUID.test(e.body.id) ? [e.body.id] : [],
      ),
    );
    const pictures = await Promise.all(
      [...ids].map(async (id) => [id, await repositories.pictures.byId(id)] as const),
    );
    return {
      format: JOB_FORMAT,
      site: { name: unit.siteName, place: site[0]?.place ?? '' },
      unit: { name: unit.name, tag: unit.tag, plate: unit.plate },
      title: job.title,
      entries: stored.map((e) => ({
        id: e.id,
        author: e.foreignFrom?.author ?? names[e.authorId] ?? '',
        device: e.device,
        deviceSequence: e.deviceSequence,
        deviceTime: e.deviceTime,
        seen: e.seen,
        sequence: e.sequence,
        receivedAt: e.foreignFrom?.receivedAt ?? e.receivedAt.toISOString(),
        body: e.body,
      })),
      controllers: controllers.filter((c) => c !== undefined),
      pictures: Object.fromEntries(
        pictures.flatMap(([id, p]) => (p ? [[id, Buffer.from(p.bytes).toString('base64')]] : [])),
      ),
    };
  });
}

/**
 * Takes in a job from another installation as a new job on a unit of that name (made where there is none). Every entry is marked as foreign, with who wrote it
 * there; ids are new, so that the same file can be taken in twice without mixing.
 */
export async function importJob(
  services: Services,
  person: SignedIn,
  data: unknown,
): Promise<{ readonly jobId: string }> {
  const file = readJobFile(data);
  if (isFileProblem(file)) throw new AppError('badInput', `${file.field}: ${file.message}`);
  for (const [i, definition] of file.controllers.entries()) {
    const read = readController(definition);
    if ('faults' in read)
      throw new AppError(
        'badInput',
        `controllers[${i}]: ${read.faults[0]!.path}: ${read.faults[0]!.message}`,
      );
  }
  return services.database.transaction(async (repositories) => {
    for (const definition of file.controllers)
      await storeDefinition(repositories, definition, services.now());
    const unitId = await unitFor(repositories, services, file);
    const jobId = randomUUID();
    await repositories.jobs.create({
      id: jobId,
      unitId,
      title: file.title,
      lastSequence: file.entries.length,
      createdBy: person.id,
      createdAt: services.now(),
      archivedAt: null,
    });
    const pictureIds = new Map(Object.keys(file.pictures).map((id) => [id, randomUUID()]));
    for (const [id, base64] of Object.entries(file.pictures))
      await repositories.pictures.create({
        id: pictureIds.get(id)!,
        jobId,
        authorId: person.id,
        bytes: jpegOf(id, base64),
        createdAt: services.now(),
      });
    const inOrder = file.entries.toSorted((a, b) => a.sequence - b.sequence);
    for (const [i, entry] of inOrder.entries())
      await repositories.entries.create({
        id: randomUUID(),
        jobId,
        sequence: i + 1,
        device: entry.device.slice(0, 100),
        deviceSequence: i + 1,
        deviceTime: entry.deviceTime,
        seen: Math.min(entry.seen, i),
        authorId: person.id,
        body: withPictures(entry.body, pictureIds),
        receivedAt: services.now(),
        foreignFrom: { author: entry.author, receivedAt: entry.receivedAt },
      });
    return { jobId };
  });
}

async function unitFor(repositories: Repositories, services: Services, file: JobFile): Promise<string> {
  const sites = await repositories.sites.search(file.site.name, false, 50);
  const site =
    sites.find((s) => s.name === file.site.name) ??
    (await repositories.sites.create({
      id: randomUUID(),
      name: file.site.name,
      place: file.site.place,
      note: '',
      archivedAt: null,
      createdAt: services.now(),
    }));
  const units = await repositories.units.search(file.unit.name, site.id, false, 50);
  const unit =
    units.find((u) => u.name === file.unit.name && u.tag === file.unit.tag) ??
    (await repositories.units.create({
      id: randomUUID(),
      siteId: site.id,
      ...file.unit,
      archivedAt: null,
      createdAt: services.now(),
    }));
  return unit.id;
}

function withPictures(body: EntryBody, ids: ReadonlyMap<string, string>): EntryBody {
  if (body.kind === 'picture') return { ...body, id: ids.get(body.id) ?? body.id };
  if (body.kind === 'test' && body.picture)
    return { ...body, picture: ids.get(body.picture) ?? body.picture };
  return body;
}

function jpegOf(id: string, base64: string): Buffer {
  try {
    return Buffer.from(withoutMetadata(Buffer.from(base64, 'base64')));
  } catch (error) {
    if (error instanceof NotJpeg) throw new AppError('badInput', `pictures.${id}: ${error.message}`);
    throw error;
  }
}
