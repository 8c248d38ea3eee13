import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { startHarness, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
const clients = new Map<string, Client>();
beforeAll(async () => {
  harness = await startHarness();
  for (const [login, role] of [
    ['vi', 'viewer'],
    ['tess', 'technician'],
    ['lee', 'lead'],
  ] as const) {
    await harness.person(login, role);
    const client = harness.client();
    await client.signIn(login);
    clients.set(login, client);
  }
});
afterAll(() => harness.stop());

const run = (more: object = {}) => ({
  id: randomUUID(),
  definitionId: 'marl-4',
  family: 'Marl 4',
  drill: 'setValues',
  passed: true,
  seconds: 60,
  strokes: 40,
  fewest: 35,
  hints: 0,
  ...more,
});
const keep = (login: string, more?: object) =>
  clients.get(login)!.call('POST', '/api/practice/runs', run(more));
const progress = async (login: string) =>
  (await clients.get(login)!.call('GET', '/api/practice/progress')).json.progress;

test('runs are counted per family and drill; the best is a passed one without a hint', async () => {
  for (const more of [{}, { seconds: 45 }, { seconds: 20, hints: 1 }, { seconds: 5, passed: false }])
    expect((await keep('tess', more)).status).toBe(201);
  await keep('tess', { drill: 'deeds', passed: false });
  expect(await progress('tess')).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ family: 'Marl 4', drill: 'setValues', runs: 4, passed: 3, bestSeconds: 45 }),
      expect.objectContaining({ drill: 'deeds', runs: 1, passed: 0, bestSeconds: null }),
    ]),
  );
});

test('each sees their own, a lead everybody’s by name', async () => {
  await keep('vi');
  expect(await progress('vi')).toHaveLength(1);
  expect(new Set((await progress('lee')).map((line: { name: string }) => line.name)).size).toBe(2);
});

test('sent twice it is kept once, and nobody writes over somebody else’s', async () => {
  const once = run({ drill: 'findChanged' });
  for (let i = 0; i < 2; i += 1) await clients.get('vi')!.call('POST', '/api/practice/runs', once);
  const line = (await progress('vi')).find((l: { drill: string }) => l.drill === 'findChanged');
  expect(line.runs).toBe(1);
  expect((await clients.get('tess')!.call('POST', '/api/practice/runs', once)).status).toBe(409);
});

test('a drill that does not exist is refused by name', async () => {
  const answer = await keep('vi', { drill: 'juggling' });
  expect([answer.status, answer.json.error.message]).toEqual([
    400,
    expect.stringContaining('drill: expected one of setValues'),
  ]);
});
