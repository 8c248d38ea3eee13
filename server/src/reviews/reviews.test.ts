import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { inWords } from '@brine/core/foundation/sentences';
import { freezerJob } from '../../testing/freezerJob.ts';
import { startWithTess, type Client, type Harness } from '../../testing/harness.ts';
import { closeReviews } from './reviews.service.ts';
import { reviewUnit } from './unitReview.ts';

let harness: Harness;
let tess: Client;
let jobId: string;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  jobId = await freezerJob(tess, 'marl-4', [
    {
      kind: 'planned',
      setting: 'defrost.endTemperature',
      value: { value: 4, unit: 'degC' },
      why: 'as it was',
    },
  ]);
});
afterAll(async () => {
  await closeReviews();
  await harness.stop();
});

const until = async (id: string, over: (review: { done: number; total: number }) => boolean) => {
  for (let i = 0; i < 800; i += 1) {
    const { review } = (await tess.call('GET', `/api/reviews/${id}`)).json;
    if (over(review)) return review;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('the review did not end in 80 seconds');
};

test('every unit with a plan is judged in threads: what is wrong, with its number and its remedy (oracle: the same call without threads)', async () => {
  const began = await tess.call('POST', '/api/reviews', {});
  expect(began.status).toBe(202);
  expect(began.json.review).toMatchObject({ total: 1, done: 0, stopped: false });
  const review = await until(began.json.review.id, (r) => r.done === r.total);
  const [line] = review.units;
  expect(line).toMatchObject({ jobId, problem: null });
  const codes = line.judged.findings.map((f: { code: string }) => f.code);
  expect(codes).toContain('iceGrows');
  const ice = line.judged.findings.find((f: { code: string }) => f.code === 'iceGrows');
  expect(inWords(ice.message)).toMatch(/\d+ g of ice grow/);
  expect(inWords(ice.remedy)).toMatch(/\d/);
  expect(line.judged.advised).toBeNull();
});

test('a goal that is none, a review that is not there, a viewer who begins one: each a sentence', async () => {
  const odd = await tess.call('POST', '/api/reviews', { goal: 'coldest' });
  expect([odd.status, odd.json.error.message]).toEqual([400, expect.stringContaining('expected one of')]);
  const gone = await tess.call('GET', `/api/reviews/${randomUUID()}`);
  expect([gone.status, gone.json.error.message]).toEqual([404, expect.stringContaining('begin it again')]);
  const vi = harness.client();
  await vi.signIn('vi');
  expect((await vi.call('POST', '/api/reviews', {})).status).toBe(403);
});

test('a review that is stopped says so and leaves what it has', async () => {
  const { review } = (await tess.call('POST', '/api/reviews', { goal: 'quietAlarm' })).json;
  const stopped = (await tess.call('DELETE', `/api/reviews/${review.id}`)).json.review;
  expect(stopped).toMatchObject({ stopped: true, total: 1 });
});

test('a unit is tuned besides, with the change in words', () => {
  const judged = reviewUnit({
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
    goal: 'leastEnergy',
  });
  expect(judged.advised!.sound).toBe(true);
  expect(inWords(judged.advised!.reason)).toContain('Ah a day');
  expect(inWords(judged.advised!.change!)).toContain('Set point');
});
