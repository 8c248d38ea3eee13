import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startHarness, type Harness } from '../../testing/harness.ts';
import { MOST_PER_ADDRESS, TRIES_PER_ADDRESS, TRIES_PER_LOGIN_HERE } from './rateLimit.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness();
  await harness.person('tess', 'technician');
  await harness.person('vic', 'viewer');
  await harness.person('demo', 'technician', { demo: true });
});
afterAll(() => harness.stop());

describe('signing in', () => {
  test('opens a session in a cookie scripts cannot read and other sites do not send, and a ticket for the device', async () => {
    const tess = harness.client();
    const answer = await tess.signIn('Tess');
    expect(answer.status).toBe(200);
    expect(answer.json.person).toMatchObject({ login: 'tess', role: 'technician' });
    expect(answer.json.ticket).toMatch(/^[\w-]{43}$/);
    const cookie = answer.headers.get('set-cookie')!;
    expect(cookie).toContain('HttpOnly');
    expect(cookie).toContain('SameSite=Strict');
    expect((await tess.call('GET', '/api/me')).json.person.name).toBe('Name of tess');
  });

  test('the cookie is marked secure over HTTPS', async () => {
    const secure = await startHarness({ config: { tls: { certificate: 'c', key: 'k' } } });
    await secure.person('tess', 'technician');
    const answer = await secure.client().signIn('tess');
    expect(answer.headers.get('set-cookie')).toContain('Secure');
    expect(answer.headers.get('strict-transport-security')).toContain('max-age');
    await secure.stop();
  });

  test('neither cookie nor ticket is kept as it is', async () => {
    const tess = harness.client();
    await tess.signIn('tess');
    const rows = await harness.orm.em
      .getConnection()
      .execute('select hash from session union select hash from ticket');
    const hashes = rows.map((row) => String(row['hash']));
    expect(hashes).not.toContain(tess.cookie);
    expect(hashes).not.toContain(tess.ticket);
    expect(hashes.every((hash) => /^[0-9a-f]{64}$/.test(hash))).toBe(true);
  });

  test('a wrong password and an unknown login say the same', async () => {
    const wrong = await harness.client().signIn('tess', 'wrong');
    const unknown = await harness.client().signIn('nobody', 'wrong');
    expect([wrong.status, wrong.json.error.code]).toEqual([401, 'wrongSignIn']);
    expect(unknown.json.error.message).toBe(wrong.json.error.message);
  });

  test('viewers get no writing ticket', async () => {
    expect((await harness.client().signIn('vic')).json.ticket).toBeNull();
  });

  test('passwords are kept with argon2id', async () => {
    const [row] = await harness.orm.em
      .getConnection()
      .execute(`select password_hash from person where login = 'tess'`);
    expect(row!['password_hash']).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  });

  test('signing out ends the session', async () => {
    const tess = harness.client();
    await tess.signIn('tess');
    const cookie = tess.cookie;
    await tess.call('POST', '/api/sign-out', {});
    tess.cookie = cookie;
    expect((await tess.call('GET', '/api/me')).status).toBe(401);
  });

  test('a session ends two weeks after its last use', async () => {
    const tess = harness.client();
    await tess.signIn('tess');
    harness.setTime('2026-03-15T09:00:00Z');
    expect((await tess.call('GET', '/api/me')).status).toBe(200);
    harness.setTime('2026-03-28T09:00:00Z');
    expect((await tess.call('GET', '/api/me')).status).toBe(200);
    harness.setTime('2026-04-12T09:00:00Z');
    expect((await tess.call('GET', '/api/me')).status).toBe(401);
    harness.setTime('2026-03-02T09:00:00Z');
  });
});

describe('too many failures', () => {
  test('the login is shut from that address, with the minutes to wait, and opens again', async () => {
    await harness.person('rita', 'technician');
    const from = { address: '10.0.0.7' };
    for (let i = 0; i < TRIES_PER_LOGIN_HERE; i += 1)
      expect((await harness.client().signIn('rita', 'wrong', from)).status).toBe(401);
    const shut = await harness.client().signIn('rita', undefined, from);
    expect([shut.status, shut.json.error.code]).toEqual([429, 'tooMany']);
    expect(shut.json.error.message).toContain('15 min');
    expect((await harness.client().signIn('rita', undefined, { address: '10.0.0.8' })).status).toBe(200);
    harness.setTime('2026-03-02T09:16:00Z');
    expect((await harness.client().signIn('rita', undefined, from)).status).toBe(200);
    harness.setTime('2026-03-02T09:00:00Z');
  });

  test('of 120 guesses side by side only as many are looked at as of guesses one after the other', async () => {
    await harness.person('gus', 'technician');
    const from = { address: '10.0.0.11' };
    const guesses = Array.from({ length: 120 }, (_, i) => harness.client().signIn('gus', `guess ${i}`, from));
    const codes = (await Promise.all(guesses)).map((answer) => answer.status);
    expect(codes.filter((code) => code === 401)).toHaveLength(TRIES_PER_LOGIN_HERE);
    expect(codes.filter((code) => code === 429)).toHaveLength(120 - TRIES_PER_LOGIN_HERE);
    // The colleague at the same address signs in all the same.
    await harness.person('gil', 'technician');
    expect((await harness.client().signIn('gil', undefined, from)).status).toBe(200);
  }, 60_000);

  test('one address cannot try many logins: one try each after a while, then none', async () => {
    const from = { address: '10.0.0.9' };
    const guess = async (login: string) => (await harness.client().signIn(login, 'wrong', from)).status;
    for (let i = 0; i < TRIES_PER_ADDRESS; i += 1) expect(await guess(`guess${i}`)).toBe(401);
    expect([await guess('fresh'), await guess('fresh')]).toEqual([401, 429]);
    await harness.person('ida', 'technician');
    expect((await harness.client().signIn('ida', undefined, from)).status).toBe(200);
    for (let i = TRIES_PER_ADDRESS; i < MOST_PER_ADDRESS; i += 1) await guess(`guess${i}`);
    expect((await harness.client().signIn('ida', undefined, from)).status).toBe(429);
  }, 120_000);
});

describe('one’s own account', () => {
  test('a new sign-in at the same browser ends the old session', async () => {
    const client = harness.client();
    await client.signIn('tess');
    const old = client.cookie;
    await client.signIn('vic');
    client.cookie = old;
    expect((await client.call('GET', '/api/me')).status).toBe(401);
  });

  test('sessions are listed and ended by their owner, and by nobody else', async () => {
    await harness.person('olga', 'technician');
    const [here, there, other] = [harness.client(), harness.client(), harness.client()];
    for (const client of [here, there]) await client.signIn('olga');
    await other.signIn('vic');
    const { sessions } = (await here.call('GET', '/api/me/sessions')).json;
    expect(sessions).toHaveLength(2);
    const foreign = sessions.find((s: { current: boolean }) => !s.current).id as string;
    expect((await other.call('DELETE', `/api/me/sessions/${foreign}`)).status).toBe(404);
    expect((await here.call('DELETE', `/api/me/sessions/${foreign}`)).status).toBe(200);
    expect((await there.call('GET', '/api/me')).status).toBe(401);
    expect((await here.call('GET', '/api/me')).status).toBe(200);
  });

  test('the password is changed by its owner; every other browser and every old ticket ends', async () => {
    await harness.person('otto', 'technician');
    const [here, there] = [harness.client(), harness.client()];
    for (const client of [here, there]) await client.signIn('otto');
    const change = (current: string, next: string) =>
      here.call('POST', '/api/me/password', { current, next, device: here.device });
    const wrong = await change('not this one', 'two herons wade');
    expect([wrong.status, wrong.json.error.problems[0].field]).toEqual([400, 'body.current']);
    const weak = await change('correct horse battery', '123qweasdzxc');
    expect([weak.status, weak.json.error.message]).toEqual([400, expect.stringContaining('tried first')]);
    const changed = await change('correct horse battery', 'two herons wade');
    expect([changed.status, changed.json.ticket]).toEqual([200, expect.stringMatching(/^[\w-]{43}$/)]);
    expect((await there.call('GET', '/api/me')).status).toBe(401);
    expect((await here.call('GET', '/api/me')).status).toBe(200);
    expect((await harness.client().signIn('otto')).status).toBe(401);
    expect((await harness.client().signIn('otto', 'two herons wade')).status).toBe(200);
  });
});

describe('demo sign-ins', () => {
  test.each([
    ['another machine', { address: '192.168.1.20' }],
    ['a proxy on this machine', { address: '127.0.0.1', headers: { 'x-forwarded-for': '203.0.113.5' } }],
    ['another host name', { address: '127.0.0.1', headers: { host: 'brine.example' } }],
  ])('are refused from %s', async (_where, from) => {
    const answer = await harness.client().signIn('demo', undefined, from);
    expect([answer.status, answer.json.error.code]).toEqual([403, 'forbidden']);
  });

  test.each(['127.0.0.1', '::1', '::ffff:127.0.0.1'])('are taken from %s', async (address) => {
    expect((await harness.client().signIn('demo', undefined, { address })).status).toBe(200);
  });

  test('a demo cookie carried to another machine opens nothing', async () => {
    const client = harness.client();
    await client.signIn('demo');
    expect((await client.call('GET', '/api/me', undefined, { address: '192.168.1.20' })).status).toBe(401);
  });
});
