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
    'of the %s is one page with codes, words, what was found, who and what to watch',
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
        const answer = await tess.call('GET', `/api/jobs/${jobId}/sheet.pdf?paper=${paper}`);
        expect(answer.headers.get('content-type')).toBe('application/pdf');
        const pdf = await readPdf(answer.bytes);
        expect(pdf.pages).toBe(1);
        expect(pdf.text).toContain('FM-2 · Fish store');
        expect(pdf.text).toContain('Set by Name of tess');
        expect(pdf.text).toContain('Look at the frost on Friday.');
        expect(pdf.text).toContain(definition(id).alarmCodes[0].means);
        expect(pdf.text).toContain('prove dead');
        for (const parameter of definition(id).parameters.slice(0, 3))
          expect(pdf.text).toContain(parameter.name);
      }
    },
    60_000,
  );
});
