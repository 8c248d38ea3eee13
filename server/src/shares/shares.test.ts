import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { demoDefinition } from '../../testing/demoDefinition.ts';
import { freezerJob, writeEntries } from '../../testing/freezerJob.ts';
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

const newToken = async (): Promise<string> =>
  (await tess.call('POST', `/api/units/${unitId}/share`, {})).json.share.token;

describe('the read-only page of a unit', () => {
  test('has a token of 128 bits, told once and kept as a hash, that anybody may read', async () => {
    const { token, endsAt } = (await tess.call('POST', `/api/units/${unitId}/share`, {})).json.share;
    expect(Buffer.from(token, 'base64url').length).toBe(16);
    // The test's clock stands on 2 March 2026.
    expect(endsAt.slice(0, 10)).toBe('2029-03-02');
    expect((await tess.call('GET', `/api/units/${unitId}/share`)).json.share).toEqual({ endsAt });
    const rows = await harness.orm.em.getConnection().execute('select * from share');
    expect(JSON.stringify(rows)).not.toContain(token);
    const anybody = harness.client();
    const { page } = (await anybody.call('GET', `/api/share/${token}`)).json;
    expect([
      page.watch.includes('Frost on the left fan'),
      // Nothing was keyed: no value stands as fact, all are planned.
      page.groups.length,
      page.planned.length > 0,
      page.alarms.length > 0,
    ]).toEqual([true, 0, true, true]);
  });

  test('shows no people, pictures or access codes', async () => {
    const token = await newToken();
    const said = JSON.stringify((await harness.client().call('GET', `/api/share/${token}`)).json);
    for (const secret of ['Secret Person', 'Signed Person', 'Name of tess', '4711', 'strokes', 'picture'])
      expect([secret, said.includes(secret)]).toEqual([secret, false]);
  });

  test('opens the unit for people of the company, whom a sheet’s code brought', async () => {
    const token = await newToken();
    expect((await tess.call('GET', `/api/share/${token}/unit`)).json).toEqual({ unitId });
    expect((await harness.client().call('GET', `/api/share/${token}/unit`)).status).toBe(401);
    expect((await tess.call('GET', `/api/share/${'x'.repeat(22)}/unit`)).status).toBe(404);
  });

  test('is gone once revoked, and a new one is another', async () => {
    const tokens = [await newToken(), await newToken()];
    expect((await tess.call('DELETE', `/api/units/${unitId}/share`)).status).toBe(200);
    for (const token of tokens)
      expect((await harness.client().call('GET', `/api/share/${token}`)).status).toBe(404);
    expect((await tess.call('GET', `/api/units/${unitId}/share`)).json.share).toBeNull();
    expect((await tess.call('POST', `/api/units/${unitId}/share`, {})).json.share.token).not.toBe(tokens[1]);
    expect((await tess.call('DELETE', `/api/units/${unitId}/share`)).status).toBe(200);
    expect((await tess.call('DELETE', `/api/units/${unitId}/share`)).status).toBe(404);
  });

  test('leads nowhere after its end', async () => {
    const token = await newToken();
    harness.setTime('2029-03-03T09:00:00Z');
    expect((await harness.client().call('GET', `/api/share/${token}`)).status).toBe(404);
    harness.setTime('2026-03-02T09:00:00Z');
    expect((await harness.client().call('GET', `/api/share/${token}`)).status).toBe(200);
  });

  test('every sheet carries a link of its own while one is open, none after they are revoked', async () => {
    const jobId = (await tess.call('GET', '/api/jobs')).json.jobs[0].id;
    const links = async () =>
      (
        await harness.orm.em
          .getConnection()
          .execute<{ n: number }[]>('select count(*)::int as n from share where revoked_at is null')
      )[0]!.n;
    const before = await links();
    expect((await tess.call('GET', `/api/jobs/${jobId}/sheet.pdf`)).status).toBe(200);
    expect(await links()).toBe(before + 1);
    await tess.call('DELETE', `/api/units/${unitId}/share`);
    expect((await tess.call('GET', `/api/jobs/${jobId}/sheet.pdf`)).status).toBe(200);
    expect(await links()).toBe(0);
  });

  test('a control that is only planned on a later job does not stand for the one that is in the unit', async () => {
    const { id } = (await tess.call('GET', '/api/jobs')).json.jobs[0];
    const { lastSequence } = (await tess.call('GET', `/api/jobs/${id}`)).json.job;
    await writeEntries(
      tess,
      id,
      [{ kind: 'keyed', code: 'b01', state: 'keyed', value: -21 }],
      lastSequence + 1,
    );
    // A day later another control is chosen for the same unit, and nothing of it is keyed in.
    harness.setTime('2026-03-03T09:00:00Z');
    const later = (await tess.call('POST', '/api/jobs', { unitId, title: 'Another control' })).json.job.id;
    const definition = demoDefinition('marl-4');
    const pin = (await tess.call('POST', '/api/controllers', { definition })).json.controller;
    await writeEntries(tess, later, [
      { kind: 'answer', question: 'application', value: 'walkInFreezer' },
      { kind: 'control', role: 'new', definition: pin },
    ]);
    const { page } = (await harness.client().call('GET', `/api/share/${await newToken()}`)).json;
    harness.setTime('2026-03-02T09:00:00Z');
    expect(page.control).toContain('Brae F');
    expect(
      page.groups.flatMap((group: { lines: { code: string }[] }) => group.lines.map(({ code }) => code)),
    ).toEqual(['b01']);
  });

  test('a guessed token and a viewer’s wish are refused', async () => {
    expect((await harness.client().call('GET', '/api/share/AAAAAAAAAAAAAAAAAAAAAA')).status).toBe(404);
    const vi = harness.client();
    await vi.signIn('vi');
    expect((await vi.call('POST', `/api/units/${unitId}/share`, {})).status).toBe(403);
  });
});
