import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { aJob, anEntry, startHarness, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
beforeAll(async () => {
  harness = await startHarness();
  await harness.person('tess', 'technician');
  tess = harness.client();
  await tess.signIn('tess');
});
afterAll(() => harness.stop());

const box = JSON.parse(
  readFileSync(new URL('../../../docs/formats/examples/learned/freezer.box.json', import.meta.url), 'utf8'),
) as object;
const learned = { kind: 'learned', name: 'a.csv', from: '', to: '', unit: '', box };
const send = (...entries: object[]) => tess.call('POST', '/api/entries', { entries });
const bodiesOf = async (job: string) =>
  (
    (await tess.call('GET', `/api/jobs/${job}/entries?after=0`)).json.entries as { body: { kind: string } }[]
  ).map(({ body }) => body);
const anotherJob = async (unitId: string): Promise<string> =>
  (await tess.call('POST', '/api/jobs', { unitId, title: 'Look again' })).json.job.id;

describe('a new job on a unit that was learned', () => {
  test('begins with its box, whether that is used, and what was predicted: the latest of each', async () => {
    const { jobId, unitId } = await aJob(tess);
    const predicted = (value: number) => ({
      kind: 'predicted',
      figures: [{ figure: 'dutyPercent', value, low: value - 5, high: value + 5 }],
      values: { 'regulation.setpoint': { value: -20, unit: 'degC' } },
    });
    const sent = await send(
      anEntry(jobId, 1, { ...learned, name: 'older.csv' }),
      anEntry(jobId, 2, learned),
      anEntry(jobId, 3, { kind: 'note', text: 'belongs to the job' }),
      anEntry(jobId, 4, { kind: 'boxChoice', use: 'own', why: '' }),
      anEntry(jobId, 5, predicted(60)),
      anEntry(jobId, 6, predicted(64)),
    );
    expect(sent.json.results.map((r: { status: string }) => r.status)).toEqual(Array(6).fill('accepted'));
    const next = await anotherJob(unitId);
    const bodies = await bodiesOf(next);
    expect(new Map(bodies.map((body) => [body.kind, body]))).toEqual(
      new Map<string, object>([
        ['boxChoice', { kind: 'boxChoice', use: 'own', why: '' }],
        ['learned', learned],
        ['predicted', predicted(64)],
      ]),
    );
    // What is written next goes on behind it.
    const { json } = await send(anEntry(next, 1, { kind: 'note', text: 'one' }));
    expect(json.results[0]).toMatchObject({ status: 'accepted', sequence: 4 });
  });

  test('begins empty where nothing was learned, or it was forgotten', async () => {
    const { jobId, unitId } = await aJob(tess);
    expect(await bodiesOf(await anotherJob(unitId))).toEqual([]);
    await send(anEntry(jobId, 1, learned), anEntry(jobId, 2, { ...learned, box: null }));
    expect(await bodiesOf(await anotherJob(unitId))).toEqual([]);
  });

  test('goes to the unit’s other open jobs at once, once each, and to no archived one', async () => {
    const { jobId, unitId } = await aJob(tess);
    const [open, archived] = [await anotherJob(unitId), await anotherJob(unitId)];
    const { version } = (await tess.call('GET', `/api/jobs/${archived}`)).json.job;
    expect((await tess.call('PATCH', `/api/jobs/${archived}`, { archived: true, version })).status).toBe(200);
    const entry = anEntry(jobId, 1, learned);
    await Promise.all([
      send(entry),
      send(entry),
      send(anEntry(open, 1, { kind: 'boxChoice', use: 'own', why: '' })),
    ]);
    const kindsOf = async (job: string) => (await bodiesOf(job)).map(({ kind }) => kind).sort();
    expect(await kindsOf(jobId)).toEqual(['boxChoice', 'learned']);
    expect(await kindsOf(open)).toEqual(['boxChoice', 'learned']);
    expect(await kindsOf(archived)).toEqual([]);
  });

  test('a box that is none is refused with the field', async () => {
    const { jobId } = await aJob(tess);
    const { json } = await send(anEntry(jobId, 1, { ...learned, box: { format: 'brine-dial/box@1' } }));
    expect(json.results[0]).toMatchObject({
      status: 'refused',
      message: expect.stringContaining('parameters'),
    });
  });
});
