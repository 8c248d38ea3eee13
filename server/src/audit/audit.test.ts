import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { auditKinds } from '@brine/contract/routes';
import { aLead, PASSWORD, startHarness, type Client, type Harness } from '../../testing/harness.ts';
import { routes } from '../http/routes.ts';

let harness: Harness;
let lead: Client;
beforeAll(async () => {
  harness = await startHarness();
  lead = await aLead(harness, 'lea');
});
afterAll(() => harness.stop());

interface Line {
  readonly id: string;
  readonly kind: string;
  readonly who: string;
  readonly login: string;
  readonly address: string;
  readonly about: Readonly<Record<string, string>>;
}
const lines = async (query = ''): Promise<readonly Line[]> =>
  (await lead.call('GET', `/api/audit${query}`)).json.lines;

test('who came in, who was refused and from where, in their order', async () => {
  await harness.person('tom', 'technician');
  const client = harness.client();
  const from = { address: '192.0.2.7' };
  await client.signIn('Tom', 'not it', from);
  await client.signIn('nobody', 'not it', from);
  await client.signIn('tom', PASSWORD, from);
  await client.call('POST', '/api/sign-out', {}, from);
  const told = (await lines())
    .slice(0, 4)
    .map(({ kind, who, login, address }) => [kind, who, login, address]);
  expect(told).toEqual([
    ['signedOut', 'Name of tom', 'tom', '192.0.2.7'],
    ['signedIn', 'Name of tom', 'tom', '192.0.2.7'],
    ['signInRefused', '', 'nobody', '192.0.2.7'],
    ['signInRefused', '', 'Tom', '192.0.2.7'],
  ]);
});

test('one who tries on when it is shut is kept once', async () => {
  for (let i = 0; i < 14; i += 1) await harness.client().signIn('uma', 'guess', { address: '192.0.2.8' });
  const of = (await lines()).filter(({ login }) => login === 'uma').map(({ kind }) => kind);
  expect(of).toEqual(['signInShut', ...Array.from({ length: 8 }, () => 'signInRefused')]);
});

test('what a lead changes of people and the company is told by name', async () => {
  const id = await harness.person('vic', 'viewer');
  const { version } = (await lead.call('GET', '/api/people')).json.people.find(
    (p: { id: string }) => p.id === id,
  );
  await lead.call('PATCH', `/api/people/${id}`, { role: 'technician', version });
  await lead.call('POST', `/api/people/${id}/end-sessions`, {});
  const { company } = (await lead.call('GET', '/api/company')).json;
  await lead.call('PATCH', '/api/company', {
    phone: '0555',
    secondFactor: 'nobody',
    version: company.version,
  });
  // A change that was refused is none.
  await lead.call('PATCH', '/api/company', { phone: '0556', version: company.version });
  expect((await lines()).slice(0, 3).map(({ kind, who, about }) => [kind, who, about])).toEqual([
    ['companyChanged', 'Name of lea', { fields: 'phone, secondFactor', secondFactor: 'nobody' }],
    ['sessionsEnded', 'Name of lea', { person: 'Name of vic' }],
    ['personChanged', 'Name of lea', { person: 'Name of vic', role: 'technician' }],
  ]);
});

test('what opens a unit to others, or carries a job away, is told with the unit and the site', async () => {
  const siteId = (await lead.call('POST', '/api/sites', { name: 'Quay' })).json.site.id;
  const unitId = (await lead.call('POST', '/api/units', { siteId, name: 'Walk-in', tag: 'W-1' })).json.unit
    .id;
  const jobId = (await lead.call('POST', '/api/jobs', { unitId, title: 'Too warm' })).json.job.id;
  await lead.call('POST', `/api/units/${unitId}/share`, {});
  await lead.call('GET', `/api/jobs/${jobId}/job.brine.json`);
  expect((await lines()).slice(0, 2).map(({ kind, about }) => [kind, about])).toEqual([
    ['jobFileTaken', { job: 'Too warm', unit: 'W-1 Walk-in', site: 'Quay' }],
    ['shareMade', { unit: 'W-1 Walk-in', site: 'Quay' }],
  ]);
});

test('is looked up by person and kind, a page at a time, and by leads alone', async () => {
  const all = await lines();
  const person = (await lead.call('GET', '/api/people')).json.people.find(
    (p: { login: string }) => p.login === 'tom',
  ).id;
  expect((await lines(`?person=${person}`)).map(({ id }) => id)).toEqual(
    all.filter(({ who }) => who === 'Name of tom').map(({ id }) => id),
  );
  expect((await lines('?kind=signInRefused')).every(({ kind }) => kind === 'signInRefused')).toBe(true);
  await harness.database.transaction(async ({ audit }) => {
    const caller = { address: 'a', browser: '' } as Parameters<typeof audit.note>[1];
    for (let i = 0; i < 150; i += 1)
      await audit.note(
        { kind: 'signedIn', personId: null, login: `many${i}`, about: {} },
        caller,
        new Date(),
      );
  });
  const first = (await lead.call('GET', '/api/audit')).json;
  const second = (await lead.call('GET', `/api/audit?after=${first.next}`)).json;
  expect([first.lines.length, first.total]).toEqual([100, all.length + 150]);
  expect(new Set([...first.lines, ...second.lines].map(({ id }: Line) => id)).size).toBe(first.total);
  await harness.person('wes', 'technician');
  const other = harness.client();
  await other.signIn('wes');
  expect((await other.call('GET', '/api/audit')).status).toBe(403);
});

test('is only ever added to, by the database itself', async () => {
  const sql = (text: string) => harness.orm.em.getConnection().execute(text);
  await expect(sql('delete from audit')).rejects.toThrow('only ever added');
  await expect(sql(`update audit set login = 'x'`)).rejects.toThrow('only ever added');
});

test('no kind is there that nothing keeps: each stands in a route or where signing in is', async () => {
  const { readFileSync, readdirSync } = await import('node:fs');
  const root = new URL('../', import.meta.url);
  const text = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.routes.ts'))
    .map((name) => readFileSync(new URL(name, root), 'utf8'))
    .join('\n');
  for (const kind of auditKinds) expect([kind, text.includes(`'${kind}'`)]).toEqual([kind, true]);
  expect(routes.filter((route) => route.noted).length).toBeGreaterThan(15);
});
