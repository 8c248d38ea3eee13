import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { guessLayout } from '@brine/core/logs/reading';
import { freezerJob } from '../../testing/freezerJob.ts';
import { startWithTess, type Client, type Harness } from '../../testing/harness.ts';
import { readPdf } from '../../testing/readPdf.ts';

let harness: Harness;
let tess: Client;
let siteId: string;
let jobId: string;

/** Two days of every ten minutes at −18 °C, with two hours at −9.5 on the 3rd from 04:00 on, and one reading at −9 on the 2nd. */
const LOG = [
  'time,air_degC',
  ...Array.from({ length: 288 }, (_, i) => {
    const at = new Date(Date.parse('2026-03-02T00:00:00Z') + i * 600_000).toISOString().slice(0, 19);
    const warm = at >= '2026-03-03T04:00:00' && at <= '2026-03-03T06:00:00';
    return `${at},${warm ? -9.5 : at === '2026-03-02T12:00:00' ? -9 : -18}`;
  }),
].join('\n');

beforeAll(async () => {
  ({ harness, tess } = await startWithTess({ queue: true }));
  jobId = await freezerJob(tess, 'brae-f', [
    { kind: 'answer', question: 'displayUnit', value: 'celsius' },
    // Alarms in degrees: above −10 °C for 60 minutes.
    ...[
      ['u01', 1],
      ['a00', 2],
      ['a03', -10],
      ['a05', 60],
    ].map(([code, value]) => ({ kind: 'keyed', code, state: 'keyed', value })),
    {
      kind: 'calibration',
      id: 'c1',
      record: {
        date: '2026-03-02',
        probe: 'air probe',
        code: null,
        before: null,
        after: null,
        unit: 'K',
        points: [{ reading: 0.1, reference: 0 }],
        reference: { name: 'ice', serial: '', uncertainty: 0.1, due: '' },
        nextDue: '2026-09-02',
        picture: null,
      },
    },
    { kind: 'followUp', id: 'f1', followUp: { due: '2026-03-01', what: 'Look at the gasket', done: false } },
    { kind: 'handedOver', to: 'Mrs Own', watch: '' },
    { kind: 'note', text: 'Told nobody outside' },
  ]);
  siteId = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job.unit.siteId;
});
afterAll(() => harness.stop());

async function report(more: object = {}) {
  const asked = await tess.call('POST', '/api/work/reports', {
    site: siteId,
    from: '2026-03-01',
    to: '2026-03-31',
    ...more,
  });
  expect(asked.status).toBe(202);
  const { id } = asked.json.work;
  for (;;) {
    const { work } = (await tess.call('GET', `/api/work/${id}`)).json;
    if (['done', 'failed'].includes(work.state))
      return { work, file: await tess.call('GET', `/api/work/${id}/file`) };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

describe('a report for the customer', () => {
  test('on paper: what it is set to, what was done, what is due and open; notes stay inside', async () => {
    const { work, file } = await report();
    expect(work).toMatchObject({ state: 'done', problem: null, done: 1, total: 1 });
    expect(file.headers.get('content-type')).toBe('application/pdf');
    const { text } = await readPdf(file.bytes);
    for (const part of [
      'Handed over to Mrs Own',
      'Name of tess',
      'next 2026-09-02',
      'Look at the gasket',
      'overdue',
    ])
      expect([part, text.includes(part)]).toEqual([part, true]);
    expect(text).not.toContain('Told nobody outside');
    // What was keyed stands as fact, the rest as planned.
    expect(text).toMatch(/It alarms above −10 °C for 60 min.*planned and not in the unit yet/);
  });

  test('as a spreadsheet: a sheet a table, numbers as numbers', async () => {
    const { file } = await report({ format: 'xlsx', site: null });
    const parts = unzipSync(file.bytes);
    const read = (name: string) => new TextDecoder().decode(parts[name]);
    for (const name of ['Units', 'Settings now', 'Work done', 'Excursions', 'Calibrations', 'Open'])
      expect(read('xl/workbook.xml')).toContain(`name="${name}"`);
    expect(read('xl/sharedStrings.xml')).toContain('Look at the gasket');
  });

  test('holds a log against the alarm limits that are in the unit, where they are known', async () => {
    const { layout } = guessLayout(LOG);
    const query = new URLSearchParams({ name: 'fish.csv', layout: JSON.stringify(layout) });
    const taken = await tess.call('POST', `/api/jobs/${jobId}/logs/${randomUUID()}?${query}`, LOG, {
      headers: { 'content-type': 'text/csv' },
    });
    expect(taken.status).toBe(201);
    const { file } = await report();
    const { text } = await readPdf(file.bytes);
    expect(text).toContain('fish.csv: 2026-03-02 00:00 to 2026-03-03 23:50, air from −18 °C to −9 °C');
    // Oracle: as the log was made. The single warm reading is shorter than the alarm waits.
    expect(text).toMatch(/2026-03-03 04:00\s+2 h above −10 °C, up to −9.5 °C/);
    expect(text).not.toContain('2026-03-02 12:00');
    // A period without the log does not name it.
    expect(
      (await readPdf((await report({ from: '2026-05-01', to: '2026-05-02' })).file.bytes)).text,
    ).not.toContain('fish.csv');
  });

  test('asks for days in order and for a site that is there', async () => {
    const ask = (more: object) =>
      tess.call('POST', '/api/work/reports', { from: '2026-03-01', to: '2026-03-31', ...more });
    expect((await ask({ to: '2026-02-01' })).status).toBe(400);
    expect((await ask({ from: 'spring' })).status).toBe(400);
    expect((await ask({ site: randomUUID() })).status).toBe(404);
    const empty = (await tess.call('POST', '/api/sites', { name: 'Empty' })).json.site.id;
    expect((await report({ site: empty })).work).toMatchObject({
      state: 'failed',
      problem: 'No unit here has a job yet; there is nothing to report',
    });
  });
});
