import { createHash } from 'node:crypto';
import { query } from '../support/database.ts';
import type { Bound } from './bound.ts';
import { clients, within } from './clients.ts';
import type { CompanySize } from './fillCompany.ts';
import { startFilled, type FilledStage } from './filledStage.ts';

/** A company of one region: its lists and searches, without entries. */
const large: CompanySize = { sites: 500, units: 2000, jobs: 2000, entriesEach: 0, logPoints: 0 };

/** The serial number of a unit, as `fillCompany` writes it. */
const serial = (n: number) => createHash('md5').update(String(n)).digest('hex');

/** A list: what it is asked with, by so many people at once, and how many each of these must count. */
interface List {
  readonly name: string;
  readonly paths: readonly string[];
  readonly totals?: readonly number[];
}

/** So many at once, and so many different words where people ask with different ones. */
const MANY = 20;
const each = <T>(make: (n: number) => T): readonly T[] => Array.from({ length: MANY }, (_, n) => make(n));
/** How many of the numbers up to a bound, each read by `shown`, begin with some digits. */
const beginning = (begins: string, upTo: number, shown: (n: number) => number) =>
  Array.from({ length: upTo }, (_, i) => String(shown(i + 1))).filter((text) => text.startsWith(begins))
    .length;
/** The midnight that begins a day of 2025, counted from its first Monday. */
const dayOf2025 = (n: number) => `${new Date(Date.UTC(2025, 0, 6 + n)).toISOString().slice(0, 19)}Z`;
/** The first digits of the numbers that names hold. */
const digits = Array.from({ length: 9 }, (_, i) => String(i + 1));

/** With one client, at a share of its answers; with twenty at the 99th of a hundred. */
const BOUND_MS = 100;
const MANY_MS = 300;

/** What is asked of a company of a size. Lists that every page opens with are the same for all; what is typed, opened or looked up differs from one to the next. */
async function asked(
  databaseUrl: string,
  { sites, units, jobs, entriesEach, logPoints }: CompanySize,
): Promise<readonly List[]> {
  const perSite = Math.round(jobs / sites);
  const calls = ['call', ', call', 'm, call', 'rm, call', 'arm, call', 'warm, call', 'too warm, call'];
  const places = ['alleyway', 'lleyway', 'leyway', 'eyway', 'yway'];
  const search = (list: string, words: readonly string[]) =>
    words.map((word) => `/${list}?search=${encodeURIComponent(word)}`);
  const lists: List[] = [
    { name: 'jobs: the first page', paths: ['/jobs'] },
    { name: 'jobs: by site', paths: ['/jobs?order=site'] },
    { name: 'jobs: as planned', paths: ['/jobs?order=planned'] },
    {
      name: 'jobs: a word in all or many',
      paths: search('jobs', [...calls, ...digits.map((digit) => `call ${digit}`)]),
      totals: [...calls.map(() => jobs), ...digits.map((digit) => beginning(digit, jobs, (n) => n))],
    },
    {
      name: 'jobs: one plate',
      paths: search(
        'jobs',
        each((n) => serial(units - 1 - n)),
      ),
      totals: each(() => jobs / units),
    },
    {
      name: 'jobs: a telephone number',
      paths: search(
        'jobs',
        each((n) => `0555000${100 + n}`),
      ),
      totals: each(() => perSite),
    },
    { name: 'jobs: late ones', paths: ['/jobs?state=late'] },
    { name: 'sites: the first page', paths: ['/places'] },
    {
      name: 'sites: a word in all or many',
      paths: search('places', [...places, ...digits.map((digit) => `alleyway ${digit}`)]),
      totals: [...places.map(() => sites), ...digits.map((digit) => beginning(digit, sites, (n) => n % 90))],
    },
    {
      name: 'sites: by the plate of a unit',
      paths: search(
        'places',
        each((n) => serial(units - 1 - n)),
      ),
      totals: each(() => 1),
    },
    {
      name: 'units: a word in all or many',
      paths: search('units', ['walk-in', 'alk-in', 'lk-in', ...digits.map((digit) => `walk-in ${digit}`)]),
    },
    { name: 'today', paths: ['/today'] },
  ];
  const opened = (await query(
    databaseUrl,
    `select id, unit_id from job where title like 'Too warm, call %' order by created_at limit 400`,
  )) as { id: string; unit_id: string }[];
  lists.push(
    { name: 'a job', paths: opened.map(({ id }) => `/jobs/${id}`) },
    {
      name: 'history: the jobs of a unit',
      paths: opened.map(({ unit_id }) => `/jobs?unit=${unit_id}`),
      totals: opened.map(() => jobs / units),
    },
  );
  if (entriesEach > 0)
    lists.push({
      name: 'history: the entries of a job',
      paths: opened.map(({ id }) => `/jobs/${id}/entries`),
    });
  const logs = (await query(
    databaseUrl,
    "select id, job_id from log where name = 'A year of minutes' order by id limit 20",
  )) as { id: string; job_id: string }[];
  if (logPoints > 0)
    lists.push({
      name: 'a log: a window of a week',
      paths: logs.flatMap(({ id, job_id }) =>
        each((n) => {
          const [from, to] = [7 * n, 7 * n + 7].map(dayOf2025);
          return `/jobs/${job_id}/logs/${id}?from=${from}&to=${to}`;
        }),
      ),
    });
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
  for (const { name, paths, totals } of lists) {
    const to = (n: number) => ({ url: `${base}/api${paths[n % paths.length]!}`, headers: { cookie } });
    for (const [k, total] of (totals ?? []).slice(0, MANY).entries()) {
      const answer = (await (await fetch(to(k).url, { headers: { cookie } })).json()) as { total: number };
      if (answer.total !== total) throw new Error(`${paths[k]}: ${answer.total} found, ${total} are there`);
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
