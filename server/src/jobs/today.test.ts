import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { JOBS_A_PAGE, type Job } from '@brine/contract/routes';
import { anEntry, startWithTess, type Client, type Harness } from '../../testing/harness.ts';
import { demoDefinition } from '../../testing/demoDefinition.ts';
import { openOf } from '../../testing/openOf.ts';
import { startChanges } from '../changes/changes.ts';
import { summariseWaiting } from '../summaries/summaries.ts';

let harness: Harness;
let tess: Client;
let bo: string;
beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  bo = await harness.person('bo', 'technician');
  await harness.person('vic', 'viewer');
});
afterAll(() => harness.stop());

const call = (more: object = {}) =>
  tess.call('POST', '/api/calls', {
    siteId: null,
    site: { name: 'Own quay', phone: '555 01-99', contact: 'Mrs Own' },
    unitId: null,
    unit: { name: 'Own freezer', tag: 'OWN-1', plate: 'R-449A' },
    title: 'Too warm since Monday',
    ...more,
  });
const today = async () =>
  (await tess.call('GET', '/api/today')).json as {
    jobs: Job[];
    total: number;
    handedOver: Job[];
    due: Job[];
  };
const write = async (jobId: string, bodies: readonly object[]) => {
  const from = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job.lastSequence + 1;
  const { json } = await tess.call('POST', '/api/entries', {
    entries: bodies.map((body, i) => anEntry(jobId, from + i, body, { seen: 500 })),
  });
  expect(json.results.filter((r: { status: string }) => r.status !== 'accepted')).toEqual([]);
  await summariseWaiting(harness.services);
};

describe('a call', () => {
  test('makes site, unit and job at once; the next finds the site by its number, however it is spaced', async () => {
    const first = (await call()).json.job as Job;
    expect([first.unit.siteName, first.unit.tag, first.title]).toEqual([
      'Own quay',
      'OWN-1',
      'Too warm since Monday',
    ]);
    for (const typed of ['5550199', '555 0199', '01 99'])
      expect(
        (await tess.call('GET', `/api/sites?search=${encodeURIComponent(typed)}`)).json.sites.map(
          (s: { name: string }) => s.name,
        ),
      ).toEqual(['Own quay']);
    const again = (await call({ unitId: first.unit.id, title: 'Warm again', assignedTo: bo })).json
      .job as Job;
    expect([again.unit.id, again.assignedTo?.name]).toEqual([first.unit.id, 'Name of bo']);
  });

  test('without a site or a unit is refused as a whole: nothing of it stands', async () => {
    const before = (await tess.call('GET', '/api/sites')).json.sites.length;
    for (const wrong of [
      { site: { name: 'Half a site' }, unit: { name: '' } },
      { site: { name: '' } },
      { site: { name: 'Half a site' }, assignedTo: '00000000-0000-4000-8000-000000000000' },
    ])
      expect((await call(wrong)).status).toBe(400);
    expect((await tess.call('GET', '/api/sites')).json.sites.length).toBe(before);
  });
});

describe('the day', () => {
  test('a job is planned and handed on; nobody who may only look is sent', async () => {
    const job = (await call({ title: 'To be planned' })).json.job as Job;
    const plan = (body: object) =>
      tess.call('PATCH', `/api/jobs/${job.id}`, { ...body, version: job.version });
    const vic = (await tess.call('GET', '/api/today')).json.people.map((p: { name: string }) => p.name);
    expect(vic).toEqual(['Name of bo', 'Name of tess']);
    expect((await plan({ plannedFor: 'tomorrow' })).status).toBe(400);
    const planned = await plan({ plannedFor: '2026-03-03', assignedTo: bo, waitsFor: 'a belt' });
    expect(planned.json.job).toMatchObject({
      plannedFor: '2026-03-03',
      waitsFor: 'a belt',
      assignedTo: { name: 'Name of bo' },
    });
    // Another’s change meanwhile is not overwritten.
    expect((await plan({ waitsFor: '' })).status).toBe(409);
  });

  test('tells how far a job is as its stream says, until it is handed over with everything answered', async () => {
    const job = (await call({ title: 'Watched' })).json.job as Job;
    const mine = async () => (await today()).jobs.find((j) => j.id === job.id);
    await summariseWaiting(harness.services);
    expect((await mine())?.summary?.next).toMatchObject({ station: 'survey', words: '4 answers missing' });
    const definition = JSON.parse(
      readFileSync(new URL('../../../demo/controllers/marl-4.controller.json', import.meta.url), 'utf8'),
    );
    const pin = (await tess.call('POST', '/api/controllers', { definition })).json.controller;
    await write(job.id, [
      { kind: 'answer', question: 'application', value: 'walkInFreezer' },
      { kind: 'answer', question: 'goods', value: 'frozenFish' },
      { kind: 'answer', question: 'defrostMethod', value: 'electric' },
      { kind: 'answer', question: 'probes', value: ['air', 'coil'] },
      { kind: 'answer', question: 'complaint', value: 'Warm on Mondays' },
      { kind: 'control', role: 'new', definition: pin },
    ]);
    const summary = (await mine())!.summary!;
    expect(summary).toMatchObject({
      complaint: 'Warm on Mondays',
      control: definition.family,
      handedOver: null,
    });
    expect(summary.openWords).toMatch(/codes not keyed in, \d+ tests open/);

    await write(job.id, [{ kind: 'handedOver', to: 'Mr Own', watch: '' }]);
    expect((await mine())?.summary?.unanswered).toBe(summary.open);
    // What is open is answered for: the job is finished, and somebody has to come back.
    const { codes, tests } = await openOf(harness, job.id);
    await write(job.id, [
      { kind: 'followUp', id: 'open:tests', followUp: { due: '2026-03-05', what: 'The tests', done: false } },
      {
        kind: 'handedOver',
        to: 'Mr Own',
        watch: '',
        open: [
          { kind: 'codes', items: codes, reason: 'Booklet is missing', followUp: null },
          { kind: 'tests', items: tests, reason: '', followUp: 'open:tests' },
        ],
      },
    ]);
    expect(await mine()).toBeUndefined();
    const { handedOver, due } = await today();
    expect(handedOver.find((j) => j.id === job.id)?.summary?.open).toBe(summary.open);
    expect(due.find((j) => j.id === job.id)?.summary?.followUp).toEqual({
      due: '2026-03-05',
      what: 'The tests',
    });
  });

  test('a change is told to whoever listens, by the database itself', async () => {
    const job = (await call({ title: 'Told' })).json.job as Job;
    const changes = startChanges(harness.services.config.databaseUrl, harness.services.log);
    const told: string[] = [];
    changes.listen(
      (id) => told.push(id),
      () => undefined,
    );
    await until(() => told.includes(''));
    await write(job.id, [{ kind: 'note', text: 'somebody wrote' }]);
    await until(() => told.includes(job.id));
    await changes.close();
  });
});

describe('beside the board', () => {
  test('stand jobs on units that are not as an earlier job left them, with the values', async () => {
    const definition = demoDefinition('marl-4');
    const pin = (await tess.call('POST', '/api/controllers', { definition })).json.controller;
    const first = (await call({ title: 'Set up' })).json.job as Job;
    const left = { kind: 'sheet', sheet: 'left', parent: null, definition: pin };
    await write(first.id, [
      { kind: 'control', role: 'new', definition: pin },
      {
        ...left,
        rows: [
          { code: 'hold', value: 38 },
          { code: 'gap', value: 4 },
        ],
      },
    ]);
    const again = (await call({ unitId: first.unit.id, title: 'Warm again' })).json.job as Job;
    const elsewhere = (await call({ title: 'Another unit' })).json.job as Job;
    for (const { id } of [again, elsewhere])
      await write(id, [
        { kind: 'control', role: 'old', definition: pin },
        { kind: 'found', code: 'hold', value: '35' },
        { kind: 'found', code: 'gap', value: '4' },
      ]);
    const driftOf = async (id: string) => (await today()).jobs.find((job) => job.id === id)?.summary?.drift;
    expect(await driftOf(again.id)).toEqual([{ code: 'hold', left: '38', found: '35' }]);
    expect([await driftOf(first.id), await driftOf(elsewhere.id)]).toEqual([[], []]);
  });

  test('stand units that were never handed over: some by name, all of them counted', async () => {
    const { withoutSheet } = (await tess.call('GET', '/api/today')).json;
    // Oracle: a second way to count, from the lists.
    const { units } = (await tess.call('GET', '/api/units')).json;
    const handed = new Set(
      (await tess.call('GET', '/api/jobs')).json.jobs
        .filter((job: Job) => job.summary?.handedOver)
        .map((job: Job) => job.unit.id),
    );
    const expected = units.filter(({ id }: { id: string }) => !handed.has(id));
    expect(handed.size).toBeGreaterThan(0);
    expect(withoutSheet.total).toBe(expected.length);
    expect(withoutSheet.units.length).toBe(Math.min(5, expected.length));
  });
});

describe('the list of jobs', () => {
  const told = async (query: string) => {
    const { jobs, total } = (await tess.call('GET', `/api/jobs?${query}`)).json as {
      jobs: Job[];
      total: number;
    };
    return { titles: jobs.map(({ title }) => title), total };
  };

  test('is found by what stands on unit, site and contact, and by how a job stands; its count is true', async () => {
    const made = (await call({ title: 'Listed late', plannedFor: '2026-03-01', assignedTo: bo })).json
      .job as Job;
    await call({ title: 'Listed later', plannedFor: '2026-03-09' });
    expect((await told('search=Listed')).total).toBe(2);
    expect((await told('search=Listed&state=late')).titles).toEqual(['Listed late']);
    expect((await told(`search=Listed&person=${bo}`)).titles).toEqual(['Listed late']);
    expect((await told('search=Listed&state=finished')).titles).toEqual([]);
    expect((await told('search=Mrs%20Own&state=late')).titles).toContain('Listed late');
    expect((await told('search=%25')).total).toBe(0);
    await tess.call('PATCH', `/api/jobs/${made.id}`, { waitsFor: 'a key', version: made.version });
    expect((await told('search=Listed&state=waiting')).titles).toEqual(['Listed late']);
  });

  test('comes in the order asked for', async () => {
    const at = async (site: string, tag: string, day: string | null) =>
      call({ title: 'Sorted', site: { name: site }, unit: { name: 'Box', tag }, plannedFor: day });
    await at('Zetland', 'A-1', '2026-03-04');
    await at('Aith', 'B-2', null);
    await at('Aith', 'B-1', '2026-03-09');
    const tags = async (order: string) =>
      (await tess.call('GET', `/api/jobs?search=Sorted${order}`)).json.jobs.map((job: Job) => job.unit.tag);
    expect(await tags('&order=site')).toEqual(['B-1', 'B-2', 'A-1']);
    expect(await tags('&order=planned')).toEqual(['A-1', 'B-1', 'B-2']);
    expect((await tess.call('GET', '/api/jobs?order=colour')).status).toBe(400);
  });

  test.each(['newest', 'planned', 'site'])(
    'comes page by page in the order %s, each job once, whatever comes in between',
    async (order) => {
      const unitId = ((await call({ title: 'First of many' })).json.job as Job).unit.id;
      const MANY = JOBS_A_PAGE + 5;
      for (let n = 0; n < MANY; n += 1)
        await tess.call('POST', '/api/jobs', { unitId, title: `Paged ${order} ${n}` });
      const first = (await tess.call('GET', `/api/jobs?search=Paged ${order}&order=${order}`)).json;
      // Before everything else in each of the orders.
      const late = (await tess.call('POST', '/api/jobs', { unitId, title: `Paged ${order} late` })).json.job;
      await tess.call('PATCH', `/api/jobs/${late.id}`, { plannedFor: '2026-01-01', version: late.version });
      const second = (
        await tess.call('GET', `/api/jobs?search=Paged ${order}&order=${order}&after=${first.next}`)
      ).json;
      expect([first.jobs.length, second.jobs.length]).toEqual([JOBS_A_PAGE, 5]);
      expect([first.total, second.total, second.next]).toEqual([MANY, MANY + 1, null]);
      expect(new Set([...first.jobs, ...second.jobs].map((job: Job) => job.id)).size).toBe(MANY);
    },
  );
});

async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 200 && !holds(); i += 1) await new Promise((resolve) => setTimeout(resolve, 50));
  expect(holds()).toBe(true);
}
