import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { aJob, startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
});
afterAll(() => harness.stop());

const names = (answer: { json: Record<string, { name?: string; title?: string }[]> }, list: string) =>
  answer.json[list]!.map((x) => x.name ?? x.title);

describe('sites, units and jobs', () => {
  test('are created, searched, edited and archived', async () => {
    const { siteId, unitId, jobId } = await aJob(tess, 'Frost on the fans');
    const site = (await tess.call('GET', `/api/sites/${siteId}`)).json.site;
    const edited = await tess.call('PATCH', `/api/sites/${siteId}`, {
      name: 'South quay',
      version: site.version,
    });
    expect(edited.json.site).toMatchObject({ name: 'South quay', place: 'North', archived: false });
    expect(names(await tess.call('GET', '/api/sites?search=SOUTH'), 'sites')).toEqual(['South quay']);
    expect(names(await tess.call('GET', '/api/units?search=fm-2'), 'units')).toEqual(['Fish store']);
    expect(names(await tess.call('GET', '/api/jobs?search=south'), 'jobs')).toEqual(['Frost on the fans']);
    expect(names(await tess.call('GET', '/api/jobs?search=fish'), 'jobs')).toEqual(['Frost on the fans']);
    expect(names(await tess.call('GET', `/api/jobs?unit=${unitId}`), 'jobs')).toEqual(['Frost on the fans']);
    const job = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job;
    expect(job).toMatchObject({
      title: 'Frost on the fans',
      createdBy: 'Name of tess',
      unit: { siteName: 'South quay', tag: 'FM-2' },
    });
    await tess.call('PATCH', `/api/jobs/${jobId}`, { archived: true, version: job.version });
    expect(names(await tess.call('GET', '/api/jobs'), 'jobs')).toEqual([]);
    expect(names(await tess.call('GET', '/api/jobs?archived=true'), 'jobs')).toEqual(['Frost on the fans']);
    const back = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job;
    await tess.call('PATCH', `/api/jobs/${jobId}`, { archived: false, version: back.version });
    expect(names(await tess.call('GET', '/api/jobs'), 'jobs')).toEqual(['Frost on the fans']);
  });

  test('are found together, a page of sites at a time: a site by itself with all its units, by a unit with that one', async () => {
    const make = async (name: string, tags: readonly string[]) => {
      const { id } = (await tess.call('POST', '/api/sites', { name, phone: '555 7788' })).json.site;
      for (const tag of tags)
        await tess.call('POST', '/api/units', { siteId: id, name: `Box ${tag}`, tag, plate: '' });
      return id as string;
    };
    const pier = await make('Pier house', ['PH-1', 'PH-2']);
    await make('Mill', []);
    const places = async (query: string) => {
      const { sites, units, total } = (await tess.call('GET', `/api/places?${query}`)).json;
      return [sites, units].map((list: { name: string }[]) => list.map(({ name }) => name)).concat([total]);
    };
    expect(await places('search=pier')).toEqual([['Pier house'], ['Box PH-1', 'Box PH-2'], 1]);
    expect(await places('search=ph-2')).toEqual([['Pier house'], ['Box PH-2'], 1]);
    expect(await places('search=5557788')).toEqual([['Mill', 'Pier house'], ['Box PH-1', 'Box PH-2'], 2]);
    const unit = (await tess.call('GET', `/api/units?site=${pier}&search=PH-1`)).json.units[0];
    await tess.call('PATCH', `/api/units/${unit.id}`, { archived: true, version: unit.version });
    expect(await places('search=pier')).toEqual([['Pier house'], ['Box PH-2'], 1]);
    expect(await places('archived=true')).toEqual([['Pier house'], ['Box PH-1'], 1]);
    const site = (await tess.call('GET', `/api/sites/${pier}`)).json.site;
    await tess.call('PATCH', `/api/sites/${pier}`, { archived: true, version: site.version });
    expect(await places('search=pier')).toEqual([[], [], 0]);
    expect((await places('archived=true'))[0]).toEqual(['Pier house']);
  });

  test('a search for % or _ finds those signs, not everything', async () => {
    await tess.call('POST', '/api/sites', { name: 'Fifty %', place: '' });
    expect(names(await tess.call('GET', '/api/sites?search=%25'), 'sites')).toEqual(['Fifty %']);
    expect(names(await tess.call('GET', '/api/sites?search=_'), 'sites')).toEqual([]);
  });

  test('a change from an old version is refused, and nothing is overwritten', async () => {
    const { siteId } = await aJob(tess);
    const { version } = (await tess.call('GET', `/api/sites/${siteId}`)).json.site;
    await tess.call('PATCH', `/api/sites/${siteId}`, { note: 'first', version });
    const second = await tess.call('PATCH', `/api/sites/${siteId}`, { note: 'second', version });
    expect([second.status, second.json.error.code]).toEqual([409, 'conflict']);
    expect((await tess.call('GET', `/api/sites/${siteId}`)).json.site.note).toBe('first');
  });

  test('an archived unit takes no new job', async () => {
    const { unitId } = await aJob(tess);
    const { version } = (await tess.call('GET', `/api/units/${unitId}`)).json.unit;
    await tess.call('PATCH', `/api/units/${unitId}`, { archived: true, version });
    const answer = await tess.call('POST', '/api/jobs', { unitId, title: 'x' });
    expect([answer.status, answer.json.error.message]).toEqual([409, expect.stringContaining('archived')]);
  });

  test.each([
    ['/api/units', { siteId: '00000000-0000-4000-8000-000000000000', name: 'x' }, 404],
    ['/api/units', { siteId: 'nonsense', name: 'x' }, 400],
    ['/api/sites', { name: '   ' }, 400],
    ['/api/sites', { name: 'x'.repeat(300) }, 400],
    ['/api/jobs', { unitId: '00000000-0000-4000-8000-000000000000', title: 'x' }, 404],
  ])('%s refuses %j', async (path, body, status) => {
    expect((await tess.call('POST', path, body)).status).toBe(status);
  });
});

describe('the company', () => {
  test('keeps its sides; a lead changes them, and an unknown side is refused', async () => {
    await harness.person('lena', 'lead');
    const lena = harness.client();
    await lena.signIn('lena');
    const { company } = (await lena.call('GET', '/api/company')).json;
    const changed = await lena.call('PATCH', '/api/company', {
      schools: { differential: 'tight' },
      displayUnit: 'fahrenheit',
      version: company.version,
    });
    expect(changed.json.company).toMatchObject({
      schools: { differential: 'tight' },
      displayUnit: 'fahrenheit',
    });
    const refused = await lena.call('PATCH', '/api/company', {
      schools: { differential: 'medium' },
      version: changed.json.company.version,
    });
    expect(refused.json.error.message).toContain('expected one of tight, wide');
  });
});
