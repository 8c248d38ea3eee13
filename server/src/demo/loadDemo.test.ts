import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startHarness, type Harness } from '../../testing/harness.ts';
import { idOf, loadDemo } from './loadDemo.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness();
});
afterAll(() => harness.stop());

describe('demo data', () => {
  test('loads once, and a second start keeps what was changed', async () => {
    const people = await loadDemo(harness.services);
    const tess = harness.client();
    expect((await tess.signIn('tess', people.find((p) => p.login === 'tess')!.password)).status).toBe(200);
    const site = (await tess.call('GET', `/api/sites/${idOf('site:fish')}`)).json.site;
    await tess.call('PATCH', `/api/sites/${site.id}`, { note: 'changed', version: site.version });
    const before = await counts();
    await loadDemo(harness.services);
    expect(await counts()).toEqual(before);
    expect((await tess.call('GET', `/api/sites/${site.id}`)).json.site.note).toBe('changed');
    expect(before).toMatchObject({ site: 8, person: 5, controller: 25 });
    expect(before['entry']).toBeGreaterThan(50);
    // More than a thousand entries take their time on a busy machine.
  }, 30_000);
});

async function counts(): Promise<Record<string, number>> {
  const result: Record<string, number> = {};
  for (const table of ['site', 'unit', 'job', 'entry', 'person', 'controller']) {
    const [row] = await harness.orm.em.getConnection().execute(`select count(*)::int as n from ${table}`);
    result[table] = row!['n'] as number;
  }
  return result;
}
