import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { createApp } from '../app.ts';
import { append } from './entries.service.ts';
import { aJob, anEntry, startHarness, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let jobId: string;
beforeAll(async () => {
  harness = await startHarness();
  for (const [login, role] of [
    ['tess', 'technician'],
    ['tom', 'technician'],
    ['vic', 'viewer'],
    ['lena', 'lead'],
  ] as const)
    await harness.person(login, role);
  tess = harness.client();
  await tess.signIn('tess');
});
beforeEach(async () => {
  ({ jobId } = await aJob(tess));
});
afterAll(() => harness.stop());

const note = (text: string) => ({ kind: 'note', text });
const send = (client: Client, ...entries: object[]) => client.call('POST', '/api/entries', { entries });
const stream = async (client: Client, after = 0) =>
  (await client.call('GET', `/api/jobs/${jobId}/entries?after=${after}`)).json;

describe('entries', () => {
  test('get the next sequence of their job and are read back under their author', async () => {
    const sent = await send(tess, anEntry(jobId, 1, note('one')), anEntry(jobId, 2, note('two')));
    expect(
      sent.json.results.map((r: { status: string; sequence: number }) => [r.status, r.sequence]),
    ).toEqual([
      ['accepted', 1],
      ['accepted', 2],
    ]);
    const page = await stream(tess);
    expect(page.entries.map((e: { body: { text: string } }) => e.body.text)).toEqual(['one', 'two']);
    expect(Object.values(page.names)).toEqual(['Name of tess']);
    expect((await stream(tess, 1)).entries).toHaveLength(1);
  });

  test('the same entry sent twice is taken once', async () => {
    const entry = anEntry(jobId, 1, note('one'));
    const first = await send(tess, entry);
    const second = await send(tess, entry);
    expect(second.json.results).toEqual(first.json.results);
    expect((await stream(tess)).entries).toHaveLength(1);
  });

  test('the same id with other content is refused', async () => {
    const entry = anEntry(jobId, 1, note('one'));
    await send(tess, entry);
    const { json } = await send(tess, { ...entry, body: note('changed') });
    expect(json.results[0]).toMatchObject({ status: 'refused', code: 'conflict' });
    expect((await stream(tess)).entries[0].body.text).toBe('one');
  });

  test('the same place of a device with another id is refused', async () => {
    await send(tess, anEntry(jobId, 1, note('one')));
    const { json } = await send(tess, anEntry(jobId, 1, note('other')));
    expect(json.results[0]).toMatchObject({ status: 'refused', code: 'conflict' });
  });

  test('one that does not fit does not hold up the others', async () => {
    const { json } = await send(
      tess,
      anEntry(jobId, 1, { kind: 'found', code: '', value: 'x' }),
      anEntry(jobId, 2, note('good')),
      anEntry(randomUUID(), 3, note('no job')),
    );
    expect(json.results.map((r: { status: string; code?: string }) => r.code ?? r.status)).toEqual([
      'badInput',
      'accepted',
      'notFound',
    ]);
    expect(json.results[0].message).toContain('body.code');
  });

  test('from many devices at once every one gets a sequence of its own, without a gap', async () => {
    const devices = await Promise.all(
      Array.from({ length: 6 }, async () => {
        const client = harness.client();
        await client.signIn('tess');
        return client;
      }),
    );
    await Promise.all(
      devices.flatMap((client, d) =>
        [1, 2, 3].map((n) => send(client, anEntry(jobId, n, note(`${d}.${n}`)))),
      ),
    );
    const { entries } = await stream(tess);
    expect(entries.map((e: { sequence: number }) => e.sequence)).toEqual(
      Array.from({ length: 18 }, (_, i) => i + 1),
    );
  });

  test('the same entry posted twice at the same moment is one row', async () => {
    const entry = anEntry(jobId, 1, note('once'));
    const answers = await Promise.all([send(tess, entry), send(tess, entry), send(tess, entry)]);
    expect(answers.map((a) => a.json.results[0].sequence)).toEqual([1, 1, 1]);
  });

  test('keep their author although another person has signed in on the device', async () => {
    const shared = harness.client();
    await shared.signIn('tess');
    const ticketOfTess = shared.ticket;
    await shared.call('POST', '/api/sign-out', {});
    await shared.signIn('tom');
    shared.ticket = ticketOfTess;
    await send(shared, anEntry(jobId, 1, note('typed by tess')));
    const page = await stream(tess);
    expect(page.names[page.entries[0].author]).toBe('Name of tess');
  });

  test('a device cannot claim to have seen what was never given out', async () => {
    await send(tess, anEntry(jobId, 1, note('one'), { seen: 999 }));
    expect((await stream(tess)).entries[0].seen).toBe(0);
  });

  test('viewers write nothing, even with a ticket from better days', async () => {
    const tom = harness.client();
    await tom.signIn('tom');
    const lena = harness.client();
    await lena.signIn('lena');
    const row = (await lena.call('GET', '/api/people')).json.people.find(
      (p: { login: string }) => p.login === 'tom',
    );
    await lena.call('PATCH', `/api/people/${row.id}`, { role: 'viewer', version: row.version });
    expect((await send(tom, anEntry(jobId, 1, note('x')))).status).toBe(403);
  });

  test('a ticket ends after 30 days', async () => {
    const late = harness.client();
    await late.signIn('tess');
    harness.setTime('2026-04-02T09:00:00Z');
    expect((await send(late, anEntry(jobId, 1, note('x')))).status).toBe(401);
    harness.setTime('2026-03-02T09:00:00Z');
  });

  test('a batch of 201 is refused with a sentence', async () => {
    const { status, json } = await send(
      tess,
      ...Array.from({ length: 201 }, (_, i) => anEntry(jobId, i + 1, note('x'))),
    );
    expect([status, json.error.message]).toEqual([400, expect.stringContaining('at most 200')]);
  });

  test('the database itself refuses to change or delete one', async () => {
    await send(tess, anEntry(jobId, 1, note('one')));
    const connection = harness.orm.em.getConnection();
    await expect(connection.execute('update entry set sequence = 9')).rejects.toThrow('only ever added');
    await expect(connection.execute('delete from entry')).rejects.toThrow('only ever added');
  });

  test('each that cannot be stored is refused by itself, in its place in the answer', async () => {
    const { status, json } = await send(
      tess,
      anEntry(jobId, 1, note('half a character \uD83D')),
      anEntry(jobId, 2, note('good')),
      { ...anEntry(jobId, 3, note('x')), deviceSequence: 2 ** 31 },
      { ...anEntry(jobId, 4, note('x')), id: { $gt: '' } },
      anEntry(jobId, 5, { kind: 'foundPart', id: 'F1', part: {} }),
      null as unknown as object,
      anEntry(jobId, 6, note(`${'a'.repeat(1999)}😀`)),
    );
    expect(status).toBe(200);
    expect(json.results.map((r: { status: string }) => r.status)).toEqual([
      'refused',
      'accepted',
      'refused',
      'refused',
      'refused',
      'refused',
      'accepted',
    ]);
    expect(json.results[0].message).toContain('half a character');
    expect((await stream(tess)).entries.at(-1).body.text.endsWith('😀')).toBe(true);
  });

  test.each([
    ['22P05', 'refused', 'badInput'],
    ['54000', 'refused', 'badInput'],
    ['XX000', 'refused', 'internal'],
  ])('an error %s of the database refuses that entry alone', async (code, status, error) => {
    const failing = {
      ...harness.services,
      database: {
        ...harness.database,
        transaction: () => Promise.reject(Object.assign(new Error('x'), { code })),
      },
    };
    const result = await append(failing, randomUUID(), 'd', anEntry(jobId, 1, note('x')));
    expect(result).toMatchObject({ status, code: error });
  });

  test.each(['57P01', '40P01', '53300', 'ECONNREFUSED'])(
    'with %s nothing is refused: the database is away, and the device keeps what it has',
    async (code) => {
      const away = {
        ...harness.services,
        database: {
          ...harness.database,
          transaction: () => Promise.reject(Object.assign(new Error('x'), { code })),
        },
      };
      await expect(append(away, randomUUID(), 'd', anEntry(jobId, 1, note('x')))).rejects.toMatchObject({
        code: 'unavailable',
      });
    },
  );
});

describe('who calls is settled before the body', () => {
  /** A body that says how much of it was read. */
  function watchedBody(text: string) {
    const bytes = new TextEncoder().encode(text);
    let read = 0;
    const body = new ReadableStream<Uint8Array>(
      {
        pull(controller) {
          const piece = bytes.subarray(read, read + 16_384);
          read += piece.length;
          controller.enqueue(piece);
          if (read >= bytes.length) controller.close();
        },
      },
      { highWaterMark: 0 },
    );
    return { body, read: () => read };
  }
  const empty = JSON.stringify({ entries: Array(200_000).fill({}) });

  test('200,000 empty entries without a ticket are refused unread', async () => {
    const app = createApp(harness.services);
    const { body, read } = watchedBody(empty);
    const answer = await app.request('http://localhost/api/entries', {
      method: 'POST',
      headers: { 'content-type': 'application/json', host: 'localhost' },
      body,
      duplex: 'half',
    } as RequestInit);
    expect([answer.status, read()]).toEqual([401, 0]);
  });

  test('with a ticket their number is told, and nothing of them', async () => {
    const answer = await tess.call('POST', '/api/entries', empty);
    expect(answer.status).toBe(400);
    expect(answer.json.error.problems).toEqual([
      { field: 'body.entries', message: 'entries: expected at most 200 at once' },
    ]);
  });

  test('the same with meanings', async () => {
    const many = JSON.stringify({ choices: Array(100_000).fill({}) });
    expect((await harness.client().call('POST', '/api/meanings', many)).status).toBe(401);
    const answer = await tess.call('POST', '/api/meanings', many);
    expect([answer.status, answer.json.error.problems.length]).toEqual([400, 1]);
  });
});
