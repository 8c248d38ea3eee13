import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { TOTP } from 'otpauth';
import { aLead, PASSWORD, startHarness, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
/** Minutes since the first test: a code works once, so that each test has a time of its own. */
let minute = 0;
const NEXT_MINUTES = 20;
const now = () => new Date(Date.UTC(2026, 2, 2, 9, minute));
function later(minutes = NEXT_MINUTES): void {
  minute += minutes;
  harness.setTime(now().toISOString());
}
/** What an app shows: a second reader of the standard’s library, by the harness’s clock. */
const shown = (secret: string) => new TOTP({ secret }).generate({ timestamp: now().getTime() });

beforeAll(async () => {
  harness = await startHarness();
  later(0);
});
afterAll(() => harness.stop());

const signInWith = (client: Client, login: string, code?: string) =>
  client.call('POST', '/api/sign-in', {
    login,
    password: PASSWORD,
    device: client.device,
    ...(code !== undefined && { code }),
  });

/** Somebody with a second factor: where they are signed in, the secret, the recovery codes. */
async function withSecond(login: string, role: 'viewer' | 'technician' | 'lead' = 'technician') {
  await harness.person(login, role);
  const client = harness.client();
  await client.signIn(login);
  const { secret } = (await client.call('POST', '/api/me/second', { password: PASSWORD })).json;
  const { json } = await client.call('POST', '/api/me/second/confirm', {
    code: shown(secret),
    device: client.device,
  });
  return {
    client,
    secret: secret as string,
    codes: json.recoveryCodes as string[],
    ticket: json.ticket as string,
  };
}

describe('a second factor', () => {
  test('is set up with the password and a code; other browsers and tickets end, this one goes on', async () => {
    await harness.person('ann', 'technician');
    const [here, elsewhere] = [harness.client(), harness.client()];
    await here.signIn('ann');
    await elsewhere.signIn('ann');
    expect((await here.call('POST', '/api/me/second', { password: 'not it' })).json.error).toMatchObject({
      code: 'badInput',
      problems: [{ field: 'body.password' }],
    });
    const { secret, address } = (await here.call('POST', '/api/me/second', { password: PASSWORD })).json;
    expect(address).toContain(secret);
    // Until it is confirmed nothing asks for it.
    expect((await signInWith(harness.client(), 'ann')).status).toBe(200);
    expect((await here.call('POST', '/api/me/second/confirm', { code: '000000', device: 'd' })).status).toBe(
      400,
    );
    const answer = await here.call('POST', '/api/me/second/confirm', {
      code: shown(secret),
      device: here.device,
    });
    expect(answer.json.recoveryCodes).toHaveLength(10);
    expect(answer.json.ticket).toEqual(expect.any(String));
    expect((await here.call('GET', '/api/me')).status).toBe(200);
    expect((await elsewhere.call('GET', '/api/me')).status).toBe(401);
    expect((await here.call('GET', '/api/me/second')).json).toEqual({
      since: now().toISOString(),
      recoveryLeft: 10,
      required: false,
    });
  });

  test('is asked for when signing in; a code works once', async () => {
    later();
    const { secret } = await withSecond('bea');
    later(1);
    const client = harness.client();
    const asked = await signInWith(client, 'bea');
    expect([asked.status, asked.json.error.code, client.cookie]).toEqual([401, 'secondFactor', null]);
    const code = shown(secret);
    expect((await signInWith(client, 'bea', '000000')).json.error.code).toBe('secondFactor');
    expect((await signInWith(client, 'bea', code)).status).toBe(200);
    expect((await signInWith(harness.client(), 'bea', code)).json.error.code).toBe('secondFactor');
    // Without the password a code is worth nothing, and nothing is told of it.
    const wrong = await harness
      .client()
      .call('POST', '/api/sign-in', { login: 'bea', password: 'no', device: 'd', code: shown(secret) });
    expect(wrong.json.error.code).toBe('wrongSignIn');
  });

  test('of two who use one code at the same moment one comes in', async () => {
    later();
    const { secret } = await withSecond('cid');
    later(1);
    const code = shown(secret);
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => signInWith(harness.client(), 'cid', code)),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
  });

  test('is not guessed: after eight tries the login is shut from there, also where the password was asked for in between', async () => {
    later();
    await withSecond('dot');
    later(1);
    const statuses: number[] = [];
    for (let i = 0; i < 12; i += 1)
      statuses.push((await signInWith(harness.client(), 'dot', i % 3 === 0 ? undefined : '000000')).status);
    expect(statuses.slice(0, 8).every((status) => status === 401)).toBe(true);
    expect(statuses.slice(8).every((status) => status === 429)).toBe(true);
  });

  test('is not gone around with a link for a new password', async () => {
    later();
    const lead = await aLead(harness, 'lea-of-links');
    const { secret } = await withSecond('eve');
    const person = (await lead.call('GET', '/api/people')).json.people.find(
      (p: { login: string }) => p.login === 'eve',
    );
    expect(person.second).toBe(true);
    const { link } = (await lead.call('POST', `/api/people/${person.id}/reset`, {})).json;
    const take = (code?: string) =>
      harness.client().call('POST', `/api/links/${link.token}`, {
        password: 'another long phrase',
        device: 'd',
        ...(code && { code }),
      });
    later(1);
    expect((await take()).json.error.code).toBe('secondFactor');
    expect((await take('000000')).json.error.code).toBe('secondFactor');
    expect((await take(shown(secret))).status).toBe(200);
  });
});

describe('recovery codes', () => {
  test('let in once each, are told how many are left, and end with a new set', async () => {
    later();
    const { client, secret, codes } = await withSecond('fay');
    const [first, second] = codes as [string, string];
    expect((await signInWith(harness.client(), 'fay', first.toUpperCase())).status).toBe(200);
    expect((await signInWith(harness.client(), 'fay', first)).json.error.code).toBe('secondFactor');
    expect((await client.call('GET', '/api/me/second')).json.recoveryLeft).toBe(9);
    later(1);
    const renewed = (await client.call('POST', '/api/me/second/recovery', { code: shown(secret) })).json
      .recoveryCodes;
    expect(new Set([...renewed, ...codes]).size).toBe(20);
    expect((await signInWith(harness.client(), 'fay', second)).json.error.code).toBe('secondFactor');
    expect((await signInWith(harness.client(), 'fay', renewed[0])).status).toBe(200);
  });

  test('are kept as hashes alone', async () => {
    later();
    const { codes } = await withSecond('gil');
    const rows = await harness.orm.em
      .getConnection()
      .execute<{ hash: string }[]>('select hash from recovery_code');
    expect(rows.every(({ hash }) => /^[0-9a-f]{64}$/.test(hash))).toBe(true);
    expect(rows.map(({ hash }) => hash)).not.toContain(codes[0]);
  });
});

describe('where the company asks for it', () => {
  async function asksOf(lead: Client, secondFactor: string): Promise<void> {
    const { version } = (await lead.call('GET', '/api/company')).json.company;
    expect((await lead.call('PATCH', '/api/company', { secondFactor, version })).status).toBe(200);
  }

  test('whoever has none sets it up before anything else is answered, and gets a ticket then', async () => {
    later();
    const { client: lead } = await withSecond('lea', 'lead');
    await harness.person('hal', 'technician');
    const before = harness.client();
    await before.signIn('hal');
    await asksOf(lead, 'everybody');
    expect((await before.call('GET', '/api/jobs')).json.error.code).toBe('needsSecond');
    expect((await before.call('GET', '/api/me')).json.person.needsSecond).toBe(true);
    const client = harness.client();
    expect((await client.signIn('hal')).json.ticket).toBeNull();
    expect((await client.call('POST', '/api/me/ticket', { device: 'd' })).json.error.code).toBe(
      'needsSecond',
    );
    const { secret } = (await client.call('POST', '/api/me/second', { password: PASSWORD })).json;
    const { ticket } = (
      await client.call('POST', '/api/me/second/confirm', { code: shown(secret), device: client.device })
    ).json;
    expect(ticket).toEqual(expect.any(String));
    expect((await client.call('GET', '/api/jobs')).status).toBe(200);
    later(1);
    expect((await client.call('POST', '/api/me/second/end', { code: shown(secret) })).json.error.code).toBe(
      'forbidden',
    );
    await asksOf(lead, 'nobody');
    later(1);
    expect((await client.call('POST', '/api/me/second/end', { code: shown(secret) })).status).toBe(200);
    expect((await signInWith(harness.client(), 'hal')).status).toBe(200);
  });

  test('of leads alone, nobody else is asked; demo people never are', async () => {
    later();
    const { client: lead } = await withSecond('ivy', 'lead');
    await asksOf(lead, 'leads');
    for (const [login, role, demo] of [
      ['joe', 'technician', false],
      ['kim', 'viewer', false],
      ['len', 'lead', true],
    ] as const) {
      await harness.person(login, role, { demo });
      const client = harness.client();
      await client.signIn(login);
      expect((await client.call('GET', '/api/jobs')).status).toBe(200);
    }
    await harness.person('max', 'lead');
    const other = harness.client();
    await other.signIn('max');
    expect((await other.call('GET', '/api/people')).json.error.code).toBe('needsSecond');
    await asksOf(lead, 'nobody');
  });

  test('a lead takes the second factor of a lost phone away: everywhere signed out, the password alone lets in', async () => {
    later();
    const lead = await aLead(harness, 'lea-of-phones');
    const { client } = await withSecond('ned');
    const person = (await lead.call('GET', '/api/people')).json.people.find(
      (p: { login: string }) => p.login === 'ned',
    );
    expect((await client.call('POST', `/api/people/${person.id}/reset-second`, {})).status).toBe(403);
    expect((await lead.call('POST', `/api/people/${person.id}/reset-second`, {})).status).toBe(200);
    expect((await client.call('GET', '/api/me')).status).toBe(401);
    expect((await signInWith(harness.client(), 'ned')).status).toBe(200);
  });
});
