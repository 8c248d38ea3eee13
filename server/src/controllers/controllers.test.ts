import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { startHarness, type Client, type Harness } from '../testing/harness.ts';

let harness: Harness;
let tess: Client;
beforeAll(async () => {
  harness = await startHarness();
  await harness.person('tess', 'technician');
  tess = harness.client();
  await tess.signIn('tess');
});
afterAll(() => harness.stop());

const marl = JSON.parse(
  readFileSync(new URL('../../../demo/controllers/marl-4.controller.json', import.meta.url), 'utf8'),
);
const take = (definition: unknown) => tess.call('POST', '/api/controllers', { definition });

test('a sound definition is taken in; the same content twice is one version', async () => {
  const first = await take(marl);
  expect(first.status).toBe(201);
  expect((await take(marl)).json.controller).toEqual(first.json.controller);
});

test('every fault is named with its path', async () => {
  const answer = await take({ ...marl, parameters: [...marl.parameters, marl.parameters[0]] });
  expect(answer.status).toBe(400);
  expect(answer.json.error.problems[0].field).toBe(`$.parameters[${marl.parameters.length}].code`);
});

test('a code that no key reaches is refused as `brine controller check` does', async () => {
  const [menu] = marl.panel.menus;
  const codes = marl.parameters.map((p: { code: string }) => p.code).filter((code: string) => code !== 'gap');
  const answer = await take({ ...marl, panel: { ...marl.panel, menus: [{ ...menu, codes }] } });
  expect(answer.status).toBe(400);
  expect(answer.json.error.problems).toEqual([
    { field: '$.parameters[1]', message: expect.stringContaining('no key sequence reaches it') },
  ]);
});
