import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { suggestSetting } from '@brine/core/controllers/suggest';
import { startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
});
afterAll(() => harness.stop());

const learn = (...choices: { description: string; setting: string | null }[]) =>
  tess.call('POST', '/api/meanings', { choices });
const known = async () => (await tess.call('GET', '/api/meanings')).json.meanings;

test('what was decided is proposed the next time; the newest decision on a wording holds', async () => {
  harness.setTime('2026-03-01T08:00:00Z');
  expect((await learn({ description: 'Wall guard', setting: 'defrost.interval' })).status).toBe(201);
  harness.setTime('2026-03-02T08:00:00Z');
  await learn(
    { description: 'wall guard', setting: 'compressor.minOffTime' },
    { description: 'Horn', setting: null },
  );
  const meanings = await known();
  expect(meanings).toHaveLength(2);
  const row = { description: 'Wall guard', unit: 'min', min: '0', max: '9', default: '3' };
  expect(suggestSetting(row, meanings).best?.setting).toBe('compressor.minOffTime');
});

test('a setting that does not exist is refused, and nothing is kept', async () => {
  const before = await known();
  const answer = await learn(
    { description: 'A', setting: null },
    { description: 'B', setting: 'fans.speed' },
  );
  expect([answer.status, answer.json.error.message]).toEqual([400, 'fans.speed is not a known setting']);
  expect(await known()).toEqual(before);
});
