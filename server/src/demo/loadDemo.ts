import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { EntryBody, PinnedDefinition } from '@brine/core/record/entries';
import { hashPassword } from '../auth/password.ts';
import { noSecond } from '../people/people.service.ts';
import { demoFolder } from '../config.ts';
import { storeDefinition } from '../controllers/controllers.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Means } from '../http/context.ts';
import { appendTogether } from '../jobs/entries.service.ts';
import type { SentEntry } from '@brine/contract/entries';
import type { Role } from '@brine/contract/routes';

/** A demo sign-in, printed at the start. */
export interface DemoPerson {
  readonly login: string;
  readonly name: string;
  readonly role: Role;
  readonly password: string;
}

interface DemoJob {
  readonly key: string;
  readonly unit: string;
  readonly title: string;
  readonly by: string;
  readonly at: string;
  /** Who goes, on which day, and what it waits for. */
  readonly goes?: string;
  /** Days from the day the demo is loaded: it always looks like today. */
  readonly planned?: number;
  readonly waits?: string;
  readonly entries: readonly (EntryBody & { readonly controller?: string; readonly at?: string })[];
}

interface DemoData {
  readonly company: {
    readonly name: string;
    readonly displayUnit: 'celsius' | 'fahrenheit';
    readonly schools: Record<string, string>;
    readonly phone: string;
  };
  readonly people: readonly DemoPerson[];
  readonly sites: readonly {
    readonly key: string;
    readonly name: string;
    readonly place: string;
    readonly note?: string;
    readonly customer?: string;
    readonly contact?: string;
    readonly phone?: string;
  }[];
  readonly units: readonly {
    readonly key: string;
    readonly site: string;
    readonly tag: string;
    readonly name: string;
    readonly plate: string;
  }[];
  readonly jobs: readonly DemoJob[];
}

/** Loads the Saltmarsh service company once. Later starts keep what was changed, and only print the sign-ins. */
export async function loadDemo(services: Means): Promise<readonly DemoPerson[]> {
  const data = JSON.parse(readFileSync(`${demoFolder}saltmarsh.json`, 'utf8')) as DemoData;
  const fresh = await services.database.transaction(async (repositories) => {
    const pins = await loadControllers(repositories, services.now());
    if (await repositories.company.find()) return null;
    await repositories.company.create({ id: idOf('company'), ...data.company });
    await loadPeople(repositories, data, services.now());
    await loadPlaces(repositories, data, services.now());
    return pins;
  });
  if (fresh) for (const job of data.jobs) await loadEntries(services, job, fresh);
  return data.people;
}

/** Families as they stand in `demo/controllers`; a changed file becomes a new version beside the old one. */
async function loadControllers(
  repositories: Repositories,
  now: Date,
): Promise<ReadonlyMap<string, PinnedDefinition>> {
  const pins = new Map<string, PinnedDefinition>();
  for (const file of readdirSync(`${demoFolder}controllers`).filter((name) =>
    name.endsWith('.controller.json'),
  )) {
    const definition = JSON.parse(
      readFileSync(`${demoFolder}controllers/${file}`, 'utf8'),
    ) as ControllerDefinition;
    pins.set(definition.id, await storeDefinition(repositories, definition, now));
  }
  return pins;
}

async function loadPeople(repositories: Repositories, data: DemoData, now: Date): Promise<void> {
  for (const person of data.people)
    await repositories.people.create({
      id: idOf(`person:${person.login}`),
      login: person.login,
      name: person.name,
      role: person.role,
      passwordHash: await hashPassword(person.password),
      ...noSecond,
      disabledAt: null,
      demo: true,
      createdAt: now,
    });
}

async function loadPlaces(repositories: Repositories, data: DemoData, now: Date): Promise<void> {
  for (const site of data.sites)
    await repositories.sites.create({
      id: idOf(`site:${site.key}`),
      name: site.name,
      place: site.place,
      note: site.note ?? '',
      customer: site.customer ?? '',
      contact: site.contact ?? '',
      phone: site.phone ?? '',
      archivedAt: null,
      createdAt: now,
    });
  for (const unit of data.units)
    await repositories.units.create({
      id: idOf(`unit:${unit.key}`),
      siteId: idOf(`site:${unit.site}`),
      name: unit.name,
      tag: unit.tag,
      plate: unit.plate,
      archivedAt: null,
      createdAt: now,
    });
  for (const job of data.jobs)
    await repositories.jobs.create({
      id: idOf(`job:${job.key}`),
      unitId: idOf(`unit:${job.unit}`),
      title: job.title,
      lastSequence: 0,
      createdBy: idOf(`person:${job.by}`),
      createdAt: new Date(job.at),
      archivedAt: null,
      assignedTo: job.goes ? idOf(`person:${job.goes}`) : null,
      plannedFor: job.planned === undefined ? null : dayFrom(now, job.planned),
      waitsFor: job.waits ?? '',
      summary: null,
      summaryOf: -1,
    });
}

async function loadEntries(
  services: Means,
  job: DemoJob,
  pins: ReadonlyMap<string, PinnedDefinition>,
): Promise<void> {
  const pinOf = (controller: string) => {
    const pin = pins.get(controller);
    if (!pin) throw new Error(`demo data, job ${job.key}: ${controller} is no controller of the demo`);
    return pin;
  };
  const entries = job.entries.map(({ controller, at = job.at, ...body }, index): SentEntry => ({
    id: idOf(`entry:${job.key}:${index}`),
    job: idOf(`job:${job.key}`),
    deviceSequence: index + 1,
    deviceTime: at,
    seen: index,
    body: (controller === undefined ? body : { ...body, definition: pinOf(controller) }) as EntryBody,
  }));
  try {
    for (const visit of sameTime(entries)) {
      // Received when it was done, as if there had been signal: histories are in the order of receipt.
      const then: Means = { ...services, now: () => new Date(visit[0]!.deviceTime) };
      await appendTogether(then, idOf(`person:${job.by}`), 'demo-device', visit);
    }
  } catch (error) {
    throw new Error(`demo data, job ${job.key}: ${(error as Error).message}`, { cause: error });
  }
}

/** Entries in their order, together as long as their time is one. */
function sameTime(entries: readonly SentEntry[]): readonly (readonly SentEntry[])[] {
  const runs: SentEntry[][] = [];
  for (const entry of entries) {
    const last = runs.at(-1);
    if (last?.[0]!.deviceTime === entry.deviceTime) last.push(entry);
    else runs.push([entry]);
  }
  return runs;
}

/** The same id for the same demo thing on every installation (a name-based UUID). */
export function idOf(name: string): string {
  const hex = createHash('sha256').update(`brine-dial-demo:${name}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-5${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** The day so many days from another, `2026-11-30`. */
const dayFrom = (day: Date, days: number): string =>
  new Date(day.getTime() + days * 24 * 3600 * 1000).toISOString().slice(0, 10);
