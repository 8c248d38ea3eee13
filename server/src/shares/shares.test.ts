import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { freezerJob } from '../../testing/freezerJob.ts';
import { startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let unitId: string;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  const jobId = await freezerJob(tess, 'brae-f', [
    { kind: 'planned', setting: 'access.code', value: 4711 },
    { kind: 'handedOver', to: 'Mrs Secret Person', watch: 'Frost on the left fan' },
    { kind: 'signOff', name: 'Signed Person', strokes: [[0.1, 0.2, 0.5, 0.6]] },
  ]);
  unitId = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job.unit.id;
});
afterAll(() => harness.stop());

describe('the read-only page of a unit', () => {
  test('has a token of 128 bits, one a unit, that anybody may read', async () => {
    const { token } = (await tess.call('POST', `/api/units/${unitId}/share`, {})).json.share;
    expect(Buffer.from(token, 'base64url').length).toBe(16);
    expect((await tess.call('POST', `/api/units/${unitId}/share`, {})).json.share.token).toBe(token);
    const anybody = harness.client();
    const { page } = (await anybody.call('GET', `/api/share/${token}`)).json;
    expect([
      page.watch.includes('Frost on the left fan'),
      page.groups.length > 0,
      page.alarms.length > 0,
    ]).toEqual([true, true, true]);
  });

  test('shows no people, pictures or access codes', async () => {
    const { token } = (await tess.call('GET', `/api/units/${unitId}/share`)).json.share;
    const said = JSON.stringify((await harness.client().call('GET', `/api/share/${token}`)).json);
    for (const secret of ['Secret Person', 'Signed Person', 'Name of tess', '4711', 'strokes', 'picture'])
      expect([secret, said.includes(secret)]).toEqual([secret, false]);
  });

  test('is gone once revoked, and a new one is another', async () => {
    const { token } = (await tess.call('GET', `/api/units/${unitId}/share`)).json.share;
    expect((await tess.call('DELETE', `/api/units/${unitId}/share`)).status).toBe(200);
    expect((await harness.client().call('GET', `/api/share/${token}`)).status).toBe(404);
    expect((await tess.call('GET', `/api/units/${unitId}/share`)).json.share).toBeNull();
    expect((await tess.call('POST', `/api/units/${unitId}/share`, {})).json.share.token).not.toBe(token);
  });

  test('a guessed token and a viewer’s wish are refused', async () => {
    expect((await harness.client().call('GET', '/api/share/AAAAAAAAAAAAAAAAAAAAAA')).status).toBe(404);
    const vi = harness.client();
    await vi.signIn('vi');
    expect((await vi.call('POST', `/api/units/${unitId}/share`, {})).status).toBe(403);
  });
});
