import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { guessLayout, readWholeLog, type LogLayout } from '@brine/core/logs/reading';
import { aJob, anEntry, startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let jobId: string;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  ({ jobId } = await aJob(tess));
});
afterAll(() => harness.stop());

/** Five-minute rows over the turn of two months, with a failed probe. */
const rows = Array.from({ length: 600 }, (_, i) => {
  const at = new Date(Date.UTC(2026, 3, 29, 12) + i * 300_000).toISOString().slice(0, 19);
  return `${at},${(2 + (i % 9) / 4).toFixed(2)},${i === 7 ? '' : (-5 + (i % 5)).toFixed(1)},${i % 9 > 4 ? 1 : 0}`;
});
const csv = `time,air_degC,coil_degC,compressor\n${rows.join('\n')}\n`;
const send = (id: string, text = csv, layout: LogLayout | string = guessLayout(text).layout, client = tess) =>
  client.call(
    'POST',
    `/api/jobs/${jobId}/logs/${id}?name=${encodeURIComponent('cold store.csv')}&layout=${encodeURIComponent(typeof layout === 'string' ? layout : JSON.stringify(layout))}`,
    text,
    { headers: { 'content-type': 'text/csv' } },
  );

describe('logs', () => {
  test('a file is read, lands in monthly partitions, and comes back as the same log', async () => {
    const id = randomUUID();
    const answer = await send(id);
    expect([answer.status, answer.json.log.samples, answer.json.log.columns]).toEqual([
      201,
      600,
      ['air', 'coil', 'compressor'],
    ]);
    const counts = await harness.orm.em
      .getConnection()
      .execute<{ part: string; n: string }[]>(
        `select tableoid::regclass::text as part, count(*) as n from log_point where log_id = '${id}' group by 1 order by 1`,
      );
    expect(counts.map((c) => c.part)).toEqual(['log_point_2026_04', 'log_point_2026_05']);
    expect(counts.reduce((sum, c) => sum + Number(c.n), 0)).toBe(600);
    const back = await tess.call('GET', `/api/jobs/${jobId}/logs/${id}`);
    expect(back.headers.get('content-disposition')).toContain('attachment');
    const [sent, got] = [csv, Buffer.from(back.bytes).toString('utf8')].map((text) => {
      const read = readWholeLog(text);
      if ('problem' in read) throw new Error(read.message);
      return read.log;
    });
    expect([...got!.time]).toEqual([...sent!.time]);
    // Stored as single precision: 2.25 and 2.5 exactly, tenths to seven figures.
    got!.values.air!.forEach((t, i) => expect(t).toBeCloseTo(sent!.values.air![i]!, 5));
    expect(Number.isNaN(got!.values.coil![7]!)).toBe(true);
    expect((await tess.call('GET', `/api/jobs/${jobId}/logs`)).json.logs).toEqual([
      expect.objectContaining({ id, samples: 600 }),
    ]);
  });

  test('a window of a log is the rows between its moments, the first with them, the last without', async () => {
    const id = randomUUID();
    await send(id);
    const of = async (query: string) =>
      Buffer.from((await tess.call('GET', `/api/jobs/${jobId}/logs/${id}${query}`)).bytes)
        .toString('utf8')
        .trim()
        .split('\n');
    const [head, ...all] = await of('');
    const [from, to] = [100, 140].map((n) => `${all[n]!.slice(0, 19)}Z`);
    expect(await of(`?from=${from}&to=${to}`)).toEqual([head, ...all.slice(100, 140)]);
    expect(await of(`?from=${to}`)).toEqual([head, ...all.slice(140)]);
    for (const wrong of ['yesterday', '2026-13-01T00:00:00Z', "2026-03-01T00:00:00Z' or true"]) {
      const answer = await tess.call(
        'GET',
        `/api/jobs/${jobId}/logs/${id}?from=${encodeURIComponent(wrong)}`,
      );
      expect([answer.status, answer.json.error.message]).toEqual([
        400,
        'from: expected a moment such as 2026-03-01T00:00:00Z',
      ]);
    }
  });

  test('the same one sent twice is taken once; an id with another name is refused', async () => {
    const id = randomUUID();
    expect((await send(id)).status).toBe(201);
    expect((await send(id)).status).toBe(201);
    const other = await tess.call(
      'POST',
      `/api/jobs/${jobId}/logs/${id}?name=other&layout=${encodeURIComponent(JSON.stringify(guessLayout(csv).layout))}`,
      csv,
      { headers: { 'content-type': 'text/csv' } },
    );
    expect(other.status).toBe(409);
  });

  test('seconds since the start and times with offsets come back as such', async () => {
    for (const text of [
      'time,air_degC\n0,2\n60,3\n120,4\n',
      'time,air_degC\n2026-04-14T12:00:00+02:00,2\n2026-04-14T12:05:00+02:00,3\n',
    ]) {
      const id = randomUUID();
      expect((await send(id, text)).status).toBe(201);
      const back = Buffer.from((await tess.call('GET', `/api/jobs/${jobId}/logs/${id}`)).bytes)
        .toString('utf8')
        .split('\n');
      expect(back[1]).toBe(text.startsWith('time,air_degC\n0') ? '0,2' : '2026-04-14T10:00:00Z,2');
    }
  });

  test.each([
    ['{', csv, 400, 'JSON'],
    ['{}', csv, 400, 'delimiter: expected one character'],
    [JSON.stringify({ ...guessLayout(csv).layout, order: 'junk' }), csv, 400, 'order: expected one of'],
    [JSON.stringify({ ...guessLayout(csv).layout, zone: 'Mars/Base' }), csv, 400, '"Mars/Base" is no zone'],
    [JSON.stringify({ ...guessLayout(csv).layout, columns: [] }), csv, 400, 'no column holds the time'],
    [guessLayout(csv).layout, 'time,air_degC,coil_degC,compressor\nx,1,1,1\n', 400, 'line 2'],
  ])('layout %j is refused with a sentence', async (layout, text, status, part) => {
    const answer = await send(randomUUID(), text, layout as LogLayout);
    expect([answer.status, answer.json.error.message]).toEqual([status, expect.stringContaining(part)]);
  });

  test('a viewer may look and not take in; another job’s log is not here', async () => {
    const vi = harness.client();
    await vi.signIn('vi');
    expect((await send(randomUUID(), csv, guessLayout(csv).layout, vi)).status).toBe(403);
    expect((await vi.call('GET', `/api/jobs/${jobId}/logs/${randomUUID()}`)).status).toBe(404);
  });

  const partitions = async () =>
    (
      await harness.orm.em
        .getConnection()
        .execute<{ n: string }[]>(
          `select inhrelid::regclass::text as n from pg_inherits where inhparent = 'log_point'::regclass order by 1`,
        )
    ).map((row) => row.n);

  test('a wrong year in one row is told, and leaves no partition behind', async () => {
    const before = await partitions();
    for (const [first, last] of [
      ['1971-01-01T00:00:00', '2026-04-01T00:00:00'],
      ['2026-04-01T00:00:00', '2199-01-01T00:00:00'],
    ]) {
      const text = `time,air_degC\n${first},1\n${last},2\n`;
      const answer = await send(randomUUID(), text);
      expect([answer.status, answer.json.error.message]).toEqual([
        400,
        expect.stringMatching(/expected at most 1830 days|outside the years/),
      ]);
    }
    expect(await partitions()).toEqual(before);
  });

  test('a log with a gap of a year gets partitions for the two months that hold readings', async () => {
    const before = await partitions();
    const text = 'time,air_degC\n2023-02-01T00:00:00,1\n2024-03-01T00:00:00,2\n';
    expect((await send(randomUUID(), text)).status).toBe(201);
    expect((await partitions()).filter((name) => !before.includes(name))).toEqual([
      'log_point_2023_02',
      'log_point_2024_03',
    ]);
  });

  test('eight uploads into a new month at once all stand', async () => {
    const text = 'time,air_degC\n2025-07-01T00:00:00,1\n2025-08-01T00:00:00,2\n';
    const answers = await Promise.all(Array.from({ length: 8 }, () => send(randomUUID(), text)));
    expect(answers.map((a) => a.status)).toEqual(Array(8).fill(201));
  });

  test('entries of the job are saved while a log of it is still being loaded', async () => {
    const tables = harness.services.database;
    const sent = await tables.transaction(async (repositories) => {
      const [log] = await repositories.logs.ofJob(jobId);
      await repositories.logs.create({ ...log!, id: randomUUID(), name: 'on its way.csv' });
      // Within the open transaction, as a log of half a minute would be.
      return tess.call('POST', '/api/entries', {
        entries: [anEntry(jobId, 1, { kind: 'note', text: 'Meanwhile' })],
      });
    });
    expect(sent.json.results[0].status).toBe('accepted');
  });
});
