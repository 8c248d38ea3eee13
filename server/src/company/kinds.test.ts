import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { aLead, aJob, anEntry, startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let lead: Client;
beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  lead = await aLead(harness);
});
afterAll(() => harness.stop());

const box = JSON.parse(
  readFileSync(new URL('../../../docs/formats/examples/learned/freezer.box.json', import.meta.url), 'utf8'),
) as { readonly application: string; readonly point: readonly number[] };
const learned = (of: object) => ({ kind: 'learned', name: 'a.csv', from: '', to: '', unit: '', box: of });
const choice = (use: 'own' | 'usual') => ({ kind: 'boxChoice', use, why: '' });
const send = async (...entries: object[]) => {
  const { json } = await tess.call('POST', '/api/entries', { entries });
  expect(json.results.map((r: { status: string }) => r.status)).toEqual(entries.map(() => 'accepted'));
};
const kinds = async () => (await lead.call('GET', '/api/kinds')).json.kinds;
const use = (application: string, wanted: boolean, client = lead) =>
  client.call('POST', '/api/kinds', { application, use: wanted });

test('learned units of a kind are counted once each, and speak for the next once there are five', async () => {
  expect(await kinds()).toEqual([]);
  const jobs: string[] = [];
  for (let i = 0; i < 4; i += 1) jobs.push((await aJob(tess)).jobId);
  for (const job of jobs) await send(anEntry(job, 1, learned(box)), anEntry(job, 2, choice('own')));
  // Learned again: still one unit.
  await send(anEntry(jobs[0]!, 3, learned(box)));
  expect(await kinds()).toEqual([{ application: 'walkInFreezer', units: 4, priors: null, used: null }]);
  expect((await use('walkInFreezer', true)).status).toBe(400);

  const fifth = (await aJob(tess)).jobId;
  await send(anEntry(fifth, 1, learned(box)));
  const [offer] = await kinds();
  expect(offer).toMatchObject({ application: 'walkInFreezer', units: 5, used: null });
  // Oracle: five boxes that say the same differ by the least that boxes of a kind do; their middle is what all say.
  expect(Object.keys(offer.priors).length).toBeGreaterThan(5);

  // A box that was put aside says nothing of its kind.
  await send(anEntry(fifth, 2, choice('usual')));
  expect((await kinds())[0]).toMatchObject({ units: 4, priors: null });
  await send(anEntry(fifth, 3, choice('own')));
  expect((await kinds())[0].units).toBe(5);
});

test('a lead takes it for the company, and goes back; nobody else', async () => {
  expect((await use('walkInFreezer', true, tess)).status).toBe(403);
  expect((await tess.call('GET', '/api/kinds')).status).toBe(403);
  const taken = await use('walkInFreezer', true);
  expect(taken.status).toBe(200);
  const { company } = (await tess.call('GET', '/api/company')).json;
  expect(company.kinds.walkInFreezer).toMatchObject({ units: 5, priors: (await kinds())[0].priors });
  expect((await kinds())[0].used).toEqual(company.kinds.walkInFreezer);
  const back = await use('walkInFreezer', false);
  expect(back.json.company.kinds).toEqual({});
});
