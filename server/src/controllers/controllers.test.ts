import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { loadDemo } from '../demo/loadDemo.ts';
import { startHarness, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
beforeAll(async () => {
  harness = await startHarness();
  await harness.person('tam', 'technician');
  tess = harness.client();
  await tess.signIn('tam');
});
afterAll(() => harness.stop());

const marl = JSON.parse(
  readFileSync(new URL('../../../demo/controllers/marl-4.controller.json', import.meta.url), 'utf8'),
);
const take = (definition: unknown) => tess.call('POST', '/api/controllers', { definition });

test('a sound definition is taken in; the same content twice is one version', async () => {
  const first = await take(marl);
  expect(first.status).toBe(201);
  expect((await take(marl)).json.controller).toEqual(first.json.controller);
});

test('the units that use a family: by the latest word of each job, with its version', async () => {
  await loadDemo(harness.services);
  const library = (await tess.call('GET', '/api/controllers')).json.controllers;
  const uses = async (id: string) => {
    const line = library.find((c: { id: string; newest: boolean }) => c.id === id && c.newest);
    return (await tess.call('GET', `/api/controllers/${line.hash}/uses`)).json.uses;
  };
  // Oracle: the entries of the demo data, read here by themselves.
  const demo = JSON.parse(readFileSync(new URL('../../../demo/saltmarsh.json', import.meta.url), 'utf8'));
  for (const id of ['marl-4', 'gault-p', 'skerry-dx', 'sluice-h']) {
    const expected = demo.jobs.flatMap(
      (job: { title: string; entries: { kind: string; role: string; controller: string }[] }) =>
        ['new', 'old'].flatMap((role) => {
          const last = job.entries.filter((e) => e.kind === 'control' && e.role === role).at(-1);
          return last?.controller === id ? [`${job.title} ${role}`] : [];
        }),
    );
    expect(
      (await uses(id)).map((u: { title: string; role: string }) => `${u.title} ${u.role}`).sort(),
    ).toEqual(expected.sort());
    for (const use of await uses(id)) expect(use.thisVersion).toBe(true);
  }
  expect((await tess.call('GET', '/api/controllers/none/uses')).status).toBe(404);
});

test('what was proven at cabinets: by the latest word on each code, on how many units, and where a display showed something else', async () => {
  const library = (await tess.call('GET', '/api/controllers')).json.controllers;
  const demo = JSON.parse(readFileSync(new URL('../../../demo/saltmarsh.json', import.meta.url), 'utf8'));
  interface Said {
    readonly kind: string;
    readonly role?: string;
    readonly controller?: string;
    readonly code?: string;
    readonly state?: string;
  }
  for (const id of ['marl-4', 'skerry-dx', 'sluice-h']) {
    // Oracle: the entries of the demo data, read here by themselves.
    const units = new Map<string, Set<string>>();
    let otherwise = 0;
    for (const job of demo.jobs as { unit: string; entries: Said[] }[]) {
      if (job.entries.filter((e) => e.kind === 'control' && e.role === 'new').at(-1)?.controller !== id)
        continue;
      const last = new Map(job.entries.filter((e) => e.kind === 'keyed').map((e) => [e.code!, e]));
      for (const [code, { state }] of last) {
        if (state === 'keyed') units.set(code, (units.get(code) ?? new Set()).add(job.unit));
        if (state === 'showsElse') otherwise += 1;
      }
    }
    const line = library.find((c: { id: string; newest: boolean }) => c.id === id && c.newest);
    const { proven, shownOtherwise } = (await tess.call('GET', `/api/controllers/${line.hash}/uses`)).json;
    expect(new Map(proven.map((p: { code: string; units: number }) => [p.code, p.units]))).toEqual(
      new Map([...units].map(([code, on]) => [code, on.size])),
    );
    expect(shownOtherwise).toHaveLength(otherwise);
  }
});

test('who added a controller is kept', async () => {
  const { controller } = (await take({ ...marl, id: 'marl-of-tam', version: '9' })).json;
  const { addedBy, addedAt, proven } = (await tess.call('GET', `/api/controllers/${controller.hash}/uses`))
    .json;
  expect([addedBy, Date.parse(addedAt) > 0, proven]).toEqual([expect.stringMatching(/tam/i), true, []]);
});

test('every fault is named with its path', async () => {
  const answer = await take({ ...marl, parameters: [...marl.parameters, marl.parameters[0]] });
  expect(answer.status).toBe(400);
  expect(answer.json.error.problems[0].field).toBe(`$.parameters[${marl.parameters.length}].code`);
});

test('a code that no key reaches is refused as `brine controller check` does', async () => {
  const [menu] = marl.panel.menus;
  const codes = marl.parameters.map((p: { code: string }) => p.code).filter((code: string) => code !== 'gap');
  const answer = await take({ ...marl, panel: { ...marl.panel, menus: [{ ...menu, codes }] } });
  expect(answer.status).toBe(400);
  expect(answer.json.error.problems).toEqual([
    { field: '$.parameters[1]', message: expect.stringContaining('no key sequence reaches it') },
  ]);
});
