import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { aJob, anEntry, startHarness, type Harness } from '../../testing/harness.ts';

let harness: Harness;
beforeAll(async () => void (harness = await startHarness()));
afterAll(() => harness.stop());

// Oracle: counted by hand. 58 to 62 is inside, 90 elsewhere.
test('predictions of all jobs are counted, each log by its latest word', async () => {
  await harness.person('tess', 'technician');
  const tess = harness.client();
  await tess.signIn('tess');
  const scoreNow = async () => (await tess.call('GET', '/api/predictions')).json.score;
  expect(await scoreNow()).toEqual({ logs: 0, came: 0, figures: 0, inside: 0 });
  const held = (log: string, measured: number) => ({
    kind: 'heldAgainst',
    log,
    name: 'week.csv',
    predictedAt: '2026-03-01T08:00:00Z',
    figures: [{ figure: 'dutyPercent', measured, value: 60, low: 58, high: 62 }],
  });
  const [one, other] = [(await aJob(tess)).jobId, (await aJob(tess)).jobId];
  const [first, second] = [randomUUID(), randomUUID()];
  const { json } = await tess.call('POST', '/api/entries', {
    entries: [
      anEntry(one, 1, held(first, 90)),
      anEntry(one, 2, held(first, 61)),
      anEntry(other, 1, held(second, 90)),
    ],
  });
  expect(json.results.map((r: { status: string }) => r.status)).toEqual(['accepted', 'accepted', 'accepted']);
  expect(await scoreNow()).toEqual({ logs: 2, came: 1, figures: 2, inside: 1 });
});
