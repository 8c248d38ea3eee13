import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { inWords } from '@brine/core/foundation/sentences';
import { freezerJob } from '../../testing/freezerJob.ts';
import { aJob, startWithTess, type Client, type Harness } from '../../testing/harness.ts';
import { reviewUnit } from './reviewJob.task.ts';

let harness: Harness;
let tess: Client;
let jobId: string;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess({ queue: true }));
  await harness.person('otto', 'technician');
  await harness.person('lea', 'lead');
  jobId = await freezerJob(tess, 'marl-4', [
    {
      kind: 'planned',
      setting: 'defrost.endTemperature',
      value: { value: 4, unit: 'degC' },
      why: 'as it was',
    },
  ]);
  await aJob(tess, 'Not looked at yet');
});
afterAll(() => harness.stop());

const signedIn = async (login: string): Promise<Client> => {
  const client = harness.client();
  await client.signIn(login);
  return client;
};
const until = async (id: string, over: (work: { state: string }) => boolean) => {
  for (let i = 0; i < 800; i += 1) {
    const { review } = (await tess.call('GET', `/api/reviews/${id}`)).json;
    if (over(review.work)) return review;
    expect(review.work.problem).toBeNull();
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('the review did not end in 80 seconds');
};
const begin = async (body: object = {}) => (await tess.call('POST', '/api/reviews', body)).json.work;

test('every unit with a plan is judged in threads: what is wrong, with its number and its remedy (oracle: the same call without threads)', async () => {
  const began = await tess.call('POST', '/api/reviews', {});
  expect(began.status).toBe(202);
  expect(began.json.work).toMatchObject({
    kind: 'review',
    state: 'waiting',
    done: 0,
    askedBy: 'Name of tess',
  });
  const { work, units } = await until(began.json.work.id, (w) => w.state === 'done');
  // The one without a plan is told, not left out.
  expect(work).toMatchObject({ done: 2, total: 2 });
  expect(units.find((u: { noPlan: boolean }) => u.noPlan)).toMatchObject({ judged: null, problem: null });
  const line = units.find((u: { jobId: string }) => u.jobId === jobId);
  expect(line).toMatchObject({ noPlan: false, problem: null });
  const codes = line.judged.findings.map((f: { code: string }) => f.code);
  expect(codes).toContain('iceGrows');
  const ice = line.judged.findings.find((f: { code: string }) => f.code === 'iceGrows');
  expect(inWords(ice.message)).toMatch(/\d+ g of ice grow/);
  expect(inWords(ice.remedy)).toMatch(/\d/);
  expect(line.judged.advised).toBeNull();
  // Nothing was keyed: no code holds what is planned.
  expect(line.judged.codes.planned).toBeGreaterThan(10);
  expect(line.judged.codes.notYet).toBe(line.judged.codes.planned);
});

test('a unit whose only job is in the archive is judged as well', async () => {
  const change = async (archived: boolean) => {
    const { version } = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job;
    expect((await tess.call('PATCH', `/api/jobs/${jobId}`, { archived, version })).status).toBe(200);
  };
  await change(true);
  const { id } = await begin();
  const { units } = await until(id, (w) => w.state === 'done');
  await change(false);
  expect(units.find((u: { jobId: string }) => u.jobId === jobId)).toMatchObject({
    noPlan: false,
    problem: null,
  });
});

test('only what came through since the last look is told', async () => {
  const { id } = await begin();
  const { after, units } = await until(id, (w) => w.state === 'done');
  expect([after, units.length]).toEqual([2, 2]);
  const later = (await tess.call('GET', `/api/reviews/${id}?after=1`)).json.review;
  expect([later.after, later.units]).toEqual([2, [units[1]]]);
  expect((await tess.call('GET', `/api/reviews/${id}?after=2`)).json.review.units).toEqual([]);
});

test('a goal that is none, a review that is not there, a viewer who begins one: each a sentence', async () => {
  const odd = await tess.call('POST', '/api/reviews', { goal: 'coldest' });
  expect([odd.status, odd.json.error.message]).toEqual([400, expect.stringContaining('expected one of')]);
  const gone = await tess.call('GET', `/api/reviews/${randomUUID()}`);
  expect([gone.status, gone.json.error.message]).toEqual([404, expect.stringContaining('begin it again')]);
  const vi = await signedIn('vi');
  expect((await vi.call('POST', '/api/reviews', {})).status).toBe(403);
});

test('a review is stopped by who asked for it or by a lead, and leaves what it has', async () => {
  const { id } = await begin({ goal: 'quietAlarm' });
  const [otto, lea] = [await signedIn('otto'), await signedIn('lea')];
  expect((await otto.call('DELETE', `/api/work/${id}`)).status).toBe(404);
  expect((await otto.call('GET', '/api/work')).json.works).toEqual([]);
  expect((await lea.call('GET', '/api/work')).json.works).toContainEqual(
    expect.objectContaining({ id, mayStop: true, askedBy: 'Name of tess' }),
  );
  const stopped = await lea.call('DELETE', `/api/work/${id}`);
  expect([stopped.status, stopped.json.work.state]).toEqual([200, 'stopped']);
  // It stays so, whatever its server was just about.
  await new Promise((done) => setTimeout(done, 2500));
  expect((await tess.call('GET', `/api/work/${id}`)).json.work).toMatchObject({ state: 'stopped' });
});

test('a server that died in the middle: another goes on where it was, and nothing is judged twice', async () => {
  const { id } = await begin();
  await until(id, (w) => w.state === 'done');
  // As it would stand: one unit through, the runner silent for longer than it may be.
  await harness.orm.em.getConnection().execute(
    `update work set state = 'running', runner = gen_random_uuid(), done = 1, ended_at = null, alive_at = now() - interval '11 s' where id = '${id}';
     update review_line set nth = null, judged = null where work_id = '${id}' and nth = 2;
     update review_line set judged = '{"codes": null, "findings": [], "advised": null}' where work_id = '${id}' and nth = 1`,
  );
  const { work, units } = await until(id, (w) => w.state === 'done');
  expect([work.done, units.length]).toEqual([2, 2]);
  expect(units[0].judged).toEqual({ codes: null, findings: [], advised: null });
});

test('a unit is tuned besides, with the change in words', () => {
  const judged = reviewUnit(
    {
      unit: {
        format: 'brine-dial/unit@1',
        application: 'vehicleFridge',
        goods: 'drinks',
        defrostMethod: 'none',
        probes: ['air'],
        displayUnit: 'celsius',
      },
      values: {
        'regulation.setpoint': { value: 2, unit: 'degC' },
        'regulation.differential': { value: 2, unit: 'K' },
        'compressor.minOffTime': { value: 3, unit: 'min' },
      },
      display: 'degC',
    },
    'leastEnergy',
  );
  expect(judged.advised!.sound).toBe(true);
  expect(inWords(judged.advised!.reason)).toContain('Ah a day');
  expect(inWords(judged.advised!.change!)).toContain('Set point');
});
