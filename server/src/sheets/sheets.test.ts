import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { aJob, anEntry, startWithTess, type Client, type Harness } from '../../testing/harness.ts';
import { readPdf } from '../../testing/readPdf.ts';

let harness: Harness;
let tess: Client;
let jobId: string;
const definition = (id: string) =>
  JSON.parse(
    readFileSync(new URL(`../../../demo/controllers/${id}.controller.json`, import.meta.url), 'utf8'),
  );

beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  ({ jobId } = await aJob(tess));
});
afterAll(() => harness.stop());

async function write(bodies: readonly object[], from: number) {
  const { json } = await tess.call('POST', '/api/entries', {
    entries: bodies.map((body, i) => anEntry(jobId, from + i, body, { seen: 500 })),
  });
  expect(json.results.filter((r: { status: string }) => r.status !== 'accepted')).toEqual([]);
}

describe('the leave-behind sheet', () => {
  test('needs a new control', async () => {
    const answer = await tess.call('GET', `/api/jobs/${jobId}/sheet.pdf`);
    expect([answer.status, answer.json.error.message]).toEqual([
      400,
      expect.stringContaining('choose it in Survey'),
    ]);
  });

  test.each(['marl-4', 'skerry-dx', 'gault-p', 'tarn-1', 'brae-f', 'brae-c', 'ness-2'])(
    'of the %s: the page for the site is one page in type of 11 pt or more, the pages for the file have every code',
    async (id) => {
      const [oldPin, newPin] = [
        (await tess.call('POST', '/api/controllers', { definition: definition('gault-p') })).json.controller,
        (await tess.call('POST', '/api/controllers', { definition: definition(id) })).json.controller,
      ];
      const start = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job.lastSequence + 1;
      await write(
        [
          { kind: 'answer', question: 'application', value: 'walkInFreezer' },
          { kind: 'answer', question: 'goods', value: 'frozenFish' },
          { kind: 'answer', question: 'defrostMethod', value: 'electric' },
          { kind: 'answer', question: 'probes', value: ['air', 'coil'] },
          { kind: 'answer', question: 'displayUnit', value: 'fahrenheit' },
          { kind: 'control', role: 'old', definition: oldPin },
          { kind: 'control', role: 'new', definition: newPin },
          { kind: 'found', code: 'Un', value: 'F' },
          { kind: 'found', code: 'Sn', value: '-1' },
          { kind: 'found', code: 'hY', value: '4' },
          { kind: 'keyed', code: newPin.id === 'marl-4' ? 'gap' : '1', state: 'keyed', value: 6 },
          { kind: 'handedOver', to: 'Market office', watch: 'Look at the frost on Friday.' },
        ],
        start,
      );
      for (const paper of ['A4', 'LETTER']) {
        const paperOf = async (whom: 'site' | 'file') => {
          const answer = await tess.call('GET', `/api/jobs/${jobId}/sheet.pdf?for=${whom}&paper=${paper}`);
          expect(answer.headers.get('content-type')).toBe('application/pdf');
          return readPdf(answer.bytes);
        };
        const site = await paperOf('site');
        expect(site.pages).toBe(1);
        expect(site.smallest).toBeGreaterThanOrEqual(11);
        for (const part of ['FM-2 · Fish store', 'set by Name of tess', 'Look at the frost on Friday.'])
          expect(site.text).toContain(part);
        for (const part of ['What it is set to', 'not in the unit yet', 'Not finished', 'Whom to call'])
          expect(site.text).toContain(part);
        const file = await paperOf('file');
        for (const part of ['FM-2 · Fish store', 'Set by Name of tess', 'Left open', 'prove dead'])
          expect(file.text).toContain(part);
        expect(file.text).toContain(definition(id).alarmCodes[0].means);
        for (const parameter of definition(id).parameters.slice(0, 3))
          expect(file.text).toContain(parameter.name);
      }
    },
    120_000,
  );
});
