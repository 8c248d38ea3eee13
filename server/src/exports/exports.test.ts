import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { freezerJob } from '../../testing/freezerJob.ts';
import { startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let jobId: string;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  jobId = await freezerJob(tess, 'marl-4', [
    {
      kind: 'followUp',
      id: 'f1',
      followUp: {
        due: '2026-06-04',
        what: 'Frost; after three days, at the ferry kiosk: look, and weigh what runs off',
        done: false,
      },
    },
    { kind: 'followUp', id: 'f2', followUp: { due: '2026-06-05', what: '=HYPERLINK("x")', done: true } },
    {
      kind: 'calibration',
      id: 'c1',
      record: {
        probe: 'air',
        code: 'trim',
        points: [{ reading: 0.5, reference: 0 }],
        before: 0,
        after: -1,
        unit: 'dF',
        reference: { name: 'Ice', serial: '', due: '', uncertainty: null },
        picture: null,
        date: '2026-06-01',
        nextDue: '2026-12-01',
      },
    },
  ]);
});
afterAll(() => harness.stop());

const text = (bytes: Uint8Array) => Buffer.from(bytes).toString('utf8');

describe('what can be taken along', () => {
  test('tables as CSV: a formula is text, a negative number a number', async () => {
    const followUps = await tess.call('GET', `/api/jobs/${jobId}/tables/follow-ups.csv`);
    expect(followUps.headers.get('content-disposition')).toContain('follow-ups.csv');
    // A route that makes its answer by itself still gives what every answer carries.
    expect(followUps.headers.get('x-content-type-options')).toBe('nosniff');
    expect(followUps.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
    expect(followUps.headers.get('content-type')).toBe('text/csv; charset=utf-8');
    expect(text(followUps.bytes)).toContain(`'=HYPERLINK`);
    const calibrations = text((await tess.call('GET', `/api/jobs/${jobId}/tables/calibrations.csv`)).bytes);
    expect(calibrations).toContain('2026-06-01,air,trim,0,-1,dF,0.5,0,Ice');
  });

  // Oracle: the file's own parts (ECMA-376): numbers are numeric cells, texts are strings, no cell is a formula.
  test('and as a spreadsheet', async () => {
    const answer = await tess.call('GET', `/api/jobs/${jobId}/tables/calibrations.xlsx`);
    const parts = unzipSync(answer.bytes);
    const sheet = text(parts['xl/worksheets/sheet1.xml']!);
    expect(sheet).toContain('<v>-1</v>');
    const formulas = text(
      unzipSync((await tess.call('GET', `/api/jobs/${jobId}/tables/follow-ups.xlsx`)).bytes)[
        'xl/worksheets/sheet1.xml'
      ]!,
    );
    expect(formulas).not.toContain('<f>');
  });

  test('an unknown table is refused with the list', async () => {
    const answer = await tess.call('GET', `/api/jobs/${jobId}/tables/people.csv`);
    expect([answer.status, answer.json.error.message]).toEqual([
      400,
      expect.stringContaining('settings, wires'),
    ]);
  });

  // Oracle: RFC 5545: CRLF, lines of at most 75 octets, commas and semicolons escaped, whole days with the end exclusive.
  test('follow-ups as a calendar', async () => {
    const calendar = text((await tess.call('GET', `/api/jobs/${jobId}/follow-ups.ics`)).bytes);
    const lines = calendar.split('\r\n');
    expect(lines[0]).toBe('BEGIN:VCALENDAR');
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const unfolded = calendar.replace(/\r\n[ \t]/g, '');
    expect(unfolded).toContain('DTSTART;VALUE=DATE:20260604');
    expect(unfolded).toContain('DTEND;VALUE=DATE:20260605');
    expect(unfolded).toContain('Frost\\; after three days\\, at the ferry kiosk');
    expect(unfolded).toContain('DTSTART;VALUE=DATE:20261201');
    // What is done is not called for again.
    expect(unfolded.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    for (const needed of ['PRODID:', 'VERSION:2.0', 'UID:', 'DTSTAMP:']) expect(unfolded).toContain(needed);
  });
});

describe('a job as a file', () => {
  test('taken out and in again is the same job, its entries marked as foreign with their author', async () => {
    const file = JSON.parse(text((await tess.call('GET', `/api/jobs/${jobId}/job.brine.json`)).bytes));
    expect([file.format, file.entries.length, file.controllers.map((c: { id: string }) => c.id)]).toEqual([
      'brine-dial/job@1',
      8,
      ['marl-4'],
    ]);
    expect(JSON.stringify(file)).not.toContain('password');
    const taken = await tess.call('POST', '/api/import', { file });
    expect(taken.status).toBe(201);
    const page = (await tess.call('GET', `/api/jobs/${taken.json.jobId}/entries`)).json;
    expect(page.entries.map((e: { body: unknown }) => e.body)).toEqual(
      file.entries.map((e: { body: unknown }) => e.body),
    );
    expect(
      page.entries.every((e: { foreign?: { author: string } }) => e.foreign?.author === 'Name of tess'),
    ).toBe(true);
    // The unit is the one of that name, not a second one.
    const jobs = (await tess.call('GET', '/api/jobs')).json.jobs;
    expect(new Set(jobs.map((j: { unit: { id: string } }) => j.unit.id)).size).toBe(1);
    // And once more: another job, nothing mixed.
    expect((await tess.call('POST', '/api/import', { file })).json.jobId).not.toBe(taken.json.jobId);
  });

  test('one of 5,000 entries is taken in whole, in order', async () => {
    const file = JSON.parse(text((await tess.call('GET', `/api/jobs/${jobId}/job.brine.json`)).bytes));
    const entries = Array.from({ length: 5000 }, (_, i) => ({
      ...file.entries[0],
      id: `entry ${i}`,
      sequence: i + 1,
      deviceSequence: i + 1,
      body: { kind: 'note', text: `note ${i}` },
    }));
    const taken = await tess.call('POST', '/api/import', { file: { ...file, entries } });
    expect(taken.status).toBe(201);
    const back = JSON.parse(
      text((await tess.call('GET', `/api/jobs/${taken.json.jobId}/job.brine.json`)).bytes),
    );
    expect(back.entries.map((e: { body: { text: string } }) => e.body.text)).toEqual(
      entries.map((e) => e.body.text),
    );
  });

  test.each([
    [{ format: 'brine-dial/job@2' }, 'format'],
    [{ format: 'brine-dial/job@1', site: {}, unit: { name: 'x' }, title: 't', entries: [] }, 'site'],
    [
      {
        format: 'brine-dial/job@1',
        site: { name: 's' },
        unit: { name: 'x' },
        title: 't',
        entries: [{ id: 'x' }],
      },
      'entries[0]: ',
    ],
    [
      {
        format: 'brine-dial/job@1',
        site: { name: 's' },
        unit: { name: 'x' },
        title: 't',
        entries: [],
        controllers: [{}],
      },
      'controllers[0]',
    ],
    [
      {
        format: 'brine-dial/job@1',
        site: { name: 's' },
        unit: { name: 'x' },
        title: 't',
        entries: [],
        pictures: { p: 'AAAA' },
      },
      'pictures.p',
    ],
  ])('%j is refused with the place', async (file, part) => {
    const answer = await tess.call('POST', '/api/import', { file });
    expect([answer.status, answer.json.error.message]).toEqual([400, expect.stringContaining(part)]);
  });

  test('a viewer takes nothing in or out', async () => {
    const vi = harness.client();
    await vi.signIn('vi');
    expect((await vi.call('GET', `/api/jobs/${jobId}/job.brine.json`)).status).toBe(403);
  });
});
