import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { aJob, anEntry, startHarness, type Client, type Harness } from '../../testing/harness.ts';
import { firstLeadLink } from './people.service.ts';

let harness: Harness;
let lead: Client;
beforeAll(async () => {
  harness = await startHarness();
});
afterAll(() => harness.stop());

const take = (client: Client, token: string, more: object = {}) =>
  client.call('POST', `/api/links/${token}`, { password: 'a long password', device: client.device, ...more });

describe('the first lead', () => {
  test('comes by a one-time link; a later start voids the earlier one', async () => {
    const first = (await firstLeadLink(harness.services))!;
    const second = (await firstLeadLink(harness.services))!;
    lead = harness.client();
    expect((await take(lead, first.token, { login: 'lena', name: 'Lena' })).status).toBe(404);
    expect((await take(lead, second.token, { login: 'lena', name: 'Lena', password: 'short' })).status).toBe(
      400,
    );
    const taken = await take(lead, second.token, { login: 'lena', name: 'Lena' });
    expect(taken.json.person).toMatchObject({ login: 'lena', role: 'lead' });
    expect((await take(harness.client(), second.token, { login: 'eve', name: 'Eve' })).status).toBe(410);
    expect(await firstLeadLink(harness.services)).toBeNull();
  });
});

describe('a lead', () => {
  test('invites; the link sets a password once', async () => {
    const { json } = await lead.call('POST', '/api/people', {
      login: 'Tess',
      name: 'Tess',
      role: 'technician',
    });
    const tess = harness.client();
    expect((await tess.call('GET', `/api/links/${json.link.token}`)).json.link).toMatchObject({
      kind: 'invite',
      login: 'Tess',
      role: 'technician',
    });
    expect((await take(tess, json.link.token)).json.person.role).toBe('technician');
    expect((await take(harness.client(), json.link.token)).status).toBe(410);
    expect((await harness.client().signIn('tess', 'a long password')).status).toBe(200);
  });

  test('a login is given once', async () => {
    const answer = await lead.call('POST', '/api/people', { login: 'tess', name: 'Other', role: 'viewer' });
    expect([answer.status, answer.json.error.code]).toEqual([409, 'conflict']);
  });

  test('a link grows too old after a week', async () => {
    const { json } = await lead.call('POST', '/api/people', { login: 'late', name: 'Late', role: 'viewer' });
    harness.setTime('2026-03-10T09:00:01Z');
    expect((await take(harness.client(), json.link.token)).status).toBe(410);
    harness.setTime('2026-03-02T09:00:00Z');
  });

  test('disables: sessions, tickets and sign-in end at once', async () => {
    await harness.person('dan', 'technician');
    const dan = harness.client();
    await dan.signIn('dan');
    const { jobId } = await aJob(dan);
    const row = await personRow('dan');
    await lead.call('PATCH', `/api/people/${row.id}`, { disabled: true, version: row.version });
    expect((await dan.call('GET', '/api/me')).status).toBe(401);
    expect(
      (await dan.call('POST', '/api/entries', { entries: [anEntry(jobId, 1, { kind: 'note', text: 'x' })] }))
        .status,
    ).toBe(401);
    expect((await harness.client().signIn('dan')).status).toBe(401);
    const again = await personRow('dan');
    await lead.call('PATCH', `/api/people/${row.id}`, { disabled: false, version: again.version });
    expect((await harness.client().signIn('dan')).status).toBe(200);
  });

  test('resets: the old password ends, the link sets a new one', async () => {
    await harness.person('rob', 'viewer');
    const row = await personRow('rob');
    const { json } = await lead.call('POST', `/api/people/${row.id}/reset`, {});
    expect((await harness.client().signIn('rob')).status).toBe(401);
    await take(harness.client(), json.link.token, { password: 'another password' });
    expect((await harness.client().signIn('rob', 'another password')).status).toBe(200);
  });

  test('ends sessions without touching the password', async () => {
    await harness.person('sam', 'technician');
    const sam = harness.client();
    await sam.signIn('sam');
    await lead.call('POST', `/api/people/${(await personRow('sam')).id}/end-sessions`, {});
    expect((await sam.call('GET', '/api/me')).status).toBe(401);
    expect((await sam.signIn('sam')).status).toBe(200);
  });

  test('cannot take the last lead away', async () => {
    const row = await personRow('lena');
    for (const change of [{ role: 'viewer' }, { disabled: true }])
      expect(
        (await lead.call('PATCH', `/api/people/${row.id}`, { ...change, version: row.version })).status,
      ).toBe(409);
    expect((await lead.call('POST', `/api/people/${row.id}/reset`, {})).status).toBe(409);
  });

  test('a change from an old version is refused', async () => {
    const row = await personRow('sam');
    await lead.call('PATCH', `/api/people/${row.id}`, { name: 'Samuel', version: row.version });
    expect(
      (await lead.call('PATCH', `/api/people/${row.id}`, { name: 'Sammy', version: row.version })).status,
    ).toBe(409);
  });
});

async function personRow(login: string) {
  const { json } = await lead.call('GET', '/api/people');
  return json.people.find((p: { login: string }) => p.login === login) as { id: string; version: number };
}

test('two leads who demote each other at once leave one; twenty tries', async () => {
  const own = await startHarness();
  try {
    for (let i = 0; i < 20; i += 1) {
      const ids = [await own.person(`a${i}`, 'lead'), await own.person(`b${i}`, 'lead')];
      const clients = [own.client(), own.client()];
      await clients[0]!.signIn(`a${i}`);
      await clients[1]!.signIn(`b${i}`);
      const lines = (await clients[0]!.call('GET', '/api/people')).json.people as {
        id: string;
        version: number;
      }[];
      const version = (id: string) => lines.find((line) => line.id === id)!.version;
      const demote = (by: Client, id: string) =>
        by.call('PATCH', `/api/people/${id}`, { role: 'viewer', version: version(id) });
      const answers = await Promise.all([demote(clients[0]!, ids[1]!), demote(clients[1]!, ids[0]!)]);
      const [row] = await own.orm.em
        .getConnection()
        .execute(`select count(*)::int as n from person where role = 'lead'`);
      expect([i, row!['n']]).toEqual([i, 1]);
      expect(answers.map((a) => a.status).sort()).toEqual([200, expect.any(Number)]);
      await own.orm.em.getConnection().execute(`update person set role = 'viewer'`);
    }
  } finally {
    await own.stop();
  }
}, 120_000);
