import { createHash } from 'node:crypto';
import { query } from '../support/database.ts';
import type { Bound } from './bound.ts';
import { clients, within } from './clients.ts';
import type { CompanySize } from './fillCompany.ts';
import { startFilled, type FilledStage } from './filledStage.ts';

/** A company of one region: its lists and searches, without entries. */
const large: CompanySize = { sites: 500, units: 2000, jobs: 2000, entriesEach: 0, logPoints: 0 };

/** The serial number of one unit, as `fillCompany` writes it. */
const serial = createHash('md5').update('1999').digest('hex');

/** With one client, at a share of its answers; with twenty at the 99th of a hundred. */
const BOUND_MS = 100;
const MANY_MS = 300;
const MANY = 20;

/** What is asked of a company of a size; of the lists also how many they must count. */
async function asked(databaseUrl: string, { sites, units, jobs, entriesEach, logPoints }: CompanySize) {
  const perSite = Math.round(jobs / sites);
  const lists: (readonly [name: string, path: string, total: number | null])[] = [
    ['jobs: the first page', '/jobs', null],
    ['jobs: by site', '/jobs?order=site', null],
    ['jobs: as planned', '/jobs?order=planned', null],
    ['jobs: a word in all of them', '/jobs?search=call', jobs],
    ['jobs: one plate', `/jobs?search=${serial}`, jobs / units],
    ['jobs: a telephone number', '/jobs?search=0555000123', perSite],
    ['jobs: late ones', '/jobs?state=late', null],
    ['sites: the first page', '/places', null],
    ['sites: a word in all of them', '/places?search=alleyway', sites],
    ['sites: by the plate of a unit', `/places?search=${serial}`, 1],
    ['units: a word in all of them', '/units?search=walk-in', null],
    ['today', '/today', null],
  ];
  const [job] = (await query(
    databaseUrl,
    `select id, unit_id from job where title = 'Too warm, call ${Math.round(jobs / 2)}'`,
  )) as { id: string; unit_id: string }[];
  lists.push(
    ['a job', `/jobs/${job!.id}`, null],
    ['history: the jobs of a unit', `/jobs?unit=${job!.unit_id}`, jobs / units],
  );
  if (entriesEach > 0) lists.push(['history: the entries of a job', `/jobs/${job!.id}/entries`, null]);
  const [log] = (await query(
    databaseUrl,
    "select id, job_id from log where name = 'A year of minutes' limit 1",
  )) as {
    id: string;
    job_id: string;
  }[];
  if (logPoints > 0 && log)
    lists.push([
      'a log: a window of a week',
      `/jobs/${log.job_id}/logs/${log.id}?from=2025-06-01T00:00:00Z&to=2025-06-08T00:00:00Z`,
      null,
    ]);
  return lists;
}

/** Each list of a company: whether it counts right, and how long it takes one client (at a share of all answers) and, if asked, twenty. */
export async function listBounds(
  { stage, base, cookie }: FilledStage,
  size: CompanySize,
  at: { readonly share: number; readonly seconds: number; readonly many: boolean },
  say: (text: string) => void,
): Promise<readonly Bound[]> {
  const bounds: Bound[] = [];
  const lists = await asked(stage.databaseUrl, size);
  for (const [name, path, total] of lists) {
    const to = () => ({ url: `${base}/api${path}`, headers: { cookie } });
    if (total !== null) {
      const answer = (await (await fetch(to().url, { headers: { cookie } })).json()) as { total: number };
      if (answer.total !== total) throw new Error(`${path}: ${answer.total} found, ${total} are there`);
    }
    const one = await clients(1, at.seconds, to);
    bounds.push({ name, measured: within(one, at.share), bound: BOUND_MS, unit: 'ms' });
    if (!at.many) continue;
    const many = await clients(MANY, at.seconds, to);
    bounds.push({
      name: `${name}, twenty at once`,
      measured: within(many, 0.99),
      bound: MANY_MS,
      unit: 'ms',
    });
  }
  say(`${size.sites} sites, ${size.units} units, ${size.jobs} jobs: counts are right on every list`);
  return bounds;
}

/** The lists of a company of one region, one client, in the middle. */
export async function largeLists(say: (text: string) => void): Promise<readonly Bound[]> {
  const filled = await startFilled(1, large, say);
  try {
    return await listBounds(filled, large, { share: 0.5, seconds: 2, many: false }, say);
  } finally {
    filled.stage.end();
  }
}
