import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { Schema, SchemaDescription } from 'yup';
import { entrySchemas } from '@brine/contract/entries';
import type { RouteContract } from '@brine/contract/routes';
import { mutatedJson, nested, odd } from '../../../core/testing/mutations.ts';
import { seeded } from '../../../core/testing/seeded.ts';
import { aJob, anEntry, startHarness, type Client, type Harness } from '../../testing/harness.ts';
import { routes } from './routes.ts';

/** `bin/test --fuzz` runs 10,000 cases: these, and damaged files in `cli/src/fuzz.test.ts`; every run a tenth of them. */
const times = process.env['BRINE_FUZZ'] ? 10 : 1;
const SEED = Number(process.env['BRINE_FUZZ_SEED'] ?? 14);
const REQUESTS = 400 * times;
const ENTRIES = 80 * times;
const FILES = 20 * times;
const LONGEST_MS = 10_000;

let harness: Harness;
let lead: Client;
let ids: readonly string[];
let jobId: string;
beforeAll(async () => {
  harness = await startHarness({ queue: true });
  await harness.person('lena', 'lead');
  lead = harness.client();
  await lead.signIn('lena');
  const made = await aJob(lead);
  ({ jobId } = made);
  // A thread starts with the first work that is given to one: on a loaded machine that takes seconds, which no request is to answer for.
  await lead.call('POST', '/api/import', '{"file":"warm"}');
  ids = [made.siteId, made.unitId, made.jobId, '00000000-0000-4000-8000-000000000000'];
});
afterAll(() => harness.stop());

const random = seeded(SEED);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** Stands for 6,000 lists in one another, which JSON can hold and its writer cannot make. */
const DEEP = '<deep>';
const toJson = (value: unknown) =>
  JSON.stringify(value).replaceAll(`"${DEEP}"`, `${'['.repeat(6000)}1${']'.repeat(6000)}`);

/** What a phone in trouble, a careless script or somebody who means harm would put anywhere. */
const hostile: readonly (() => unknown)[] = [
  ...odd,
  () => '\0',
  () => '\uDE00 half',
  () => '😀'.repeat(200),
  () => "'; drop table entry; --",
  () => '%_\\',
  () => '+275760-09-13T00:00:00.000Z',
  () => ({ $ne: null }),
  () => nested(300),
  () => DEEP,
];

/** A value that a schema would take, more or less. */
function plausible(description: SchemaDescription): unknown {
  const choices = description.oneOf.filter((value) => value !== null && value !== undefined);
  if (choices.length > 0) return pick(choices);
  switch (description.type) {
    case 'object':
      return bodyFor(description);
    case 'array': {
      const { innerType } = description as unknown as { readonly innerType?: SchemaDescription };
      return Array.from({ length: Math.floor(random() * 3) }, () => (innerType ? plausible(innerType) : {}));
    }
    case 'number':
      return pick([0, 1, 5]);
    case 'boolean':
      return random() < 0.5;
    default:
      return pick(['a', 'regulation.setpoint', '2026-11-24', '2026-11-24T10:00:00.000Z', ...ids]);
  }
}

/** Each field left out, plausible or hostile. */
function bodyFor(description: SchemaDescription): Record<string, unknown> {
  const { fields } = description as unknown as { readonly fields: Record<string, SchemaDescription> };
  const body: Record<string, unknown> = {};
  for (const [name, field] of Object.entries(fields)) {
    const chance = random();
    if (chance < 0.1) continue;
    body[name] = chance < 0.65 ? plausible(field) : pick(hostile)();
  }
  return body;
}

const described = (schema: Schema | undefined) => schema && bodyFor(schema.describe() as SchemaDescription);
const asText = (value: unknown) =>
  (typeof value === 'string' ? value : (JSON.stringify(value) ?? ''))
    .slice(0, 300)
    // An address cannot hold half a character: the client itself would refuse.
    .replace(/\p{Surrogate}/gu, '');

function addressFor(route: RouteContract): string {
  const path = route.path.replace(/:(\w+)/g, () =>
    encodeURIComponent(random() < 0.7 ? pick(ids) : asText(pick(hostile)()) || 'x'),
  );
  const query = Object.entries(described(route.query) ?? {}).map(
    ([name, value]) => `${name}=${encodeURIComponent(asText(value))}`,
  );
  return `/api${path}${query.length > 0 ? `?${query.join('&')}` : ''}`;
}

// Sign-out and the end of a ticket would end what the rest runs under; neither has a body.
const contracts = routes
  .map((route) => route.contract)
  .filter((route) => !['/sign-out', '/ticket'].includes(route.path));

test(`${REQUESTS} hostile requests over every route: no 500`, async () => {
  const bad: unknown[] = [];
  const seen = new Set<number>();
  for (let n = 0; n < REQUESTS; n += 1) {
    const route = contracts[n % contracts.length]!;
    const address = addressFor(route);
    const body =
      route.method === 'get' ? undefined : random() < 0.06 ? pick(hostile)() : (described(route.body) ?? {});
    const text = body === undefined ? undefined : toJson(body);
    const began = performance.now();
    const answer = await lead.call(route.method.toUpperCase(), address, text);
    const took = performance.now() - began;
    seen.add(answer.status);
    if (
      took > LONGEST_MS ||
      answer.status >= 500 ||
      (answer.status >= 400 && answer.json?.error?.message === undefined)
    )
      bad.push({
        seed: SEED,
        n,
        method: route.method,
        address,
        body: text?.slice(0, 400),
        status: answer.status,
        took,
      });
  }
  expect(bad).toEqual([]);
  // The generator reaches what is taken as well as what is refused.
  for (const status of [200, 201, 400, 404]) expect(seen).toContain(status);
}, 1_200_000);

test(`${ENTRIES} hostile entries of every kind: each refused by itself or taken, none stops the others`, async () => {
  const kinds = Object.entries(entrySchemas);
  const taken = new Map<string, number>();
  for (let n = 0; n < ENTRIES; n += 20) {
    const entries = Array.from({ length: 20 }, (_, i) => {
      const [kind, schema] = kinds[(n + i) % kinds.length]!;
      return anEntry(jobId, n + i + 1, { ...described(schema), kind });
    });
    const good = anEntry(jobId, 100_000 + n, { kind: 'note', text: 'good' });
    const answer = await lead.call('POST', '/api/entries', toJson({ entries: [...entries, good] }));
    expect([SEED, n, answer.status]).toEqual([SEED, n, 200]);
    expect(answer.json.results).toHaveLength(21);
    for (const result of answer.json.results.slice(0, 20))
      taken.set(result.status, (taken.get(result.status) ?? 0) + 1);
    expect(answer.json.results.filter((r: { code?: string }) => r.code === 'internal')).toEqual([]);
    expect(answer.json.results[20].status).toBe('accepted');
  }
  expect([taken.get('refused')! > ENTRIES / 6, taken.get('accepted')! > ENTRIES / 30]).toEqual([true, true]);
  // Whatever was taken can be read, exported and printed.
  for (const path of [
    `/api/jobs/${jobId}/entries`,
    `/api/jobs/${jobId}/job.brine.json`,
    `/api/jobs/${jobId}/follow-ups.ics`,
    ...['settings', 'wires', 'readings', 'tests', 'calibrations', 'follow-ups'].map(
      (table) => `/api/jobs/${jobId}/tables/${table}.csv`,
    ),
  ])
    expect([path, (await lead.call('GET', path)).status]).toEqual([path, 200]);
});

test(`${FILES} damaged job files: each refused with a sentence or taken in and readable`, async () => {
  const example = new URL('../../../docs/formats/examples/spring-visit.brine.json', import.meta.url);
  const whole = JSON.parse(readFileSync(example, 'utf8')) as unknown;
  const seen = new Set<number>();
  for (let n = 0; n < FILES; n += 1) {
    const text = JSON.stringify({ file: n === 0 ? whole : mutatedJson(random, whole) });
    const answer = await lead.call('POST', '/api/import', text);
    seen.add(answer.status);
    const fine =
      answer.status === 201
        ? (await lead.call('GET', `/api/jobs/${answer.json.jobId}/job.brine.json`)).status === 200
        : answer.status === 400 && typeof answer.json.error.message === 'string';
    expect([SEED, n, fine, fine ? '' : text.slice(0, 2000)]).toEqual([SEED, n, true, '']);
  }
  expect([...seen].sort()).toEqual([201, 400]);
}, 600_000);
