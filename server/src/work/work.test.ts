import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { unzipSync } from 'fflate';
import { QUEUE_SCHEMA as leftOutOfBackups } from '../../../scripts/lib/backups.mjs';
import { freezerJob } from '../../testing/freezerJob.ts';
import { aLead, aJob, startWithTess, type Client, type Harness } from '../../testing/harness.ts';
import { keepHouse } from './housekeeping.ts';
import { QUEUE_SCHEMA } from './queue.ts';
import { runWork } from './runner.ts';
import { sideBySide } from './sideBySide.ts';

let harness: Harness;
let tess: Client;
let lea: Client;
let siteId: string;
const sql = <Row>(text: string) => harness.orm.em.getConnection().execute<Row[]>(text);
const until = async (client: Client, id: string, ...states: string[]) => {
  for (let i = 0; i < 600; i += 1) {
    const { work } = (await client.call('GET', `/api/work/${id}`)).json;
    if (states.includes(work.state)) return work;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error(`the work did not become ${states.join(' or ')} in 60 seconds`);
};

beforeAll(async () => {
  ({ harness, tess } = await startWithTess({ queue: true }));
  lea = await aLead(harness);
  const jobId = await freezerJob(tess, 'brae-f', []);
  siteId = (await tess.call('GET', `/api/jobs/${jobId}`)).json.job.unit.siteId;
});
afterAll(() => harness.stop());

test('the queue stands where backups leave it out', async () => {
  const stands = await sql<{ n: string }>(
    `select count(*) as n from information_schema.tables where table_schema = '${leftOutOfBackups}'`,
  );
  expect(leftOutOfBackups).toBe(QUEUE_SCHEMA);
  expect(Number(stands[0]!.n)).toBeGreaterThan(0);
});

describe('files that take longer than an answer may', () => {
  test('the sheets of a site come as one ZIP, one PDF a unit; only its asker and leads may take it', async () => {
    await aJob(tess, 'No control chosen yet');
    const begun = await tess.call('POST', '/api/work/sheets', { site: siteId });
    expect([begun.status, begun.json.work.state]).toEqual([202, 'waiting']);
    const { id } = begun.json.work;
    const work = await until(tess, id, 'done');
    expect(work).toMatchObject({ file: 'sheets.zip', problem: null });
    const answer = await tess.call('GET', `/api/work/${id}/file`);
    const files = unzipSync(answer.bytes);
    expect(Object.keys(files)).toHaveLength(1);
    expect(Buffer.from(Object.values(files)[0]!.slice(0, 5)).toString()).toBe('%PDF-');
    expect((await lea.call('GET', `/api/work/${id}/file`)).status).toBe(200);
    const vi = harness.client();
    await vi.signIn('vi');
    expect((await vi.call('GET', `/api/work/${id}/file`)).status).toBe(404);
  });

  test('every job comes as a file that can be taken in again; two of one name are told apart', async () => {
    await aJob(tess, 'Twice');
    await aJob(tess, 'Twice');
    const { id } = (await lea.call('POST', '/api/work/job-files', {})).json.work;
    const { total } = await until(lea, id, 'done');
    const files = unzipSync((await lea.call('GET', `/api/work/${id}/file`)).bytes);
    expect(Object.keys(files)).toHaveLength(total);
    expect(Object.keys(files).filter((name) => name.includes('Twice'))).toHaveLength(2);
    const largest = Object.values(files).sort((a, b) => b.length - a.length)[0]!;
    const file = JSON.parse(Buffer.from(largest).toString('utf8'));
    expect((await tess.call('POST', '/api/import', { file })).status).toBe(201);
  });

  test('nothing to make is said in a sentence, and not tried again', async () => {
    const { json } = await tess.call('POST', '/api/sites', { name: 'Bare', place: '' });
    const { id } = (await tess.call('POST', '/api/work/sheets', { site: json.site.id })).json.work;
    const work = await until(tess, id, 'failed', 'done');
    expect([work.state, work.problem]).toEqual(['failed', expect.stringContaining('no sheet to make')]);
    expect((await tess.call('GET', `/api/work/${id}/file`)).status).toBe(404);
    const gone = await tess.call('POST', '/api/work/sheets', { site: randomUUID() });
    expect(gone.status).toBe(404);
  });
});

describe('work survives those who do it', () => {
  const put = async (more: string) => {
    const id = randomUUID();
    await sql(
      `insert into work (id, kind, title, subject, asked_by, asked_at ${more.split('|')[0]})
       select '${id}', 'review', 'Put there', '{"goal": null}', id, now() ${more.split('|')[1]} from person where login = 'tess'`,
    );
    return id;
  };

  test('what the queue forgot, as after a restore, is found and done', async () => {
    const id = await put(`, alive_at|, now() - interval '1 minute'`);
    expect(await until(tess, id, 'done')).toMatchObject({ state: 'done' });
  });

  test('what a dead server left is taken up; what a living one does is not', async () => {
    const alive = await put(
      `, state, runner, alive_at|, 'running', gen_random_uuid(), now() + interval '1 hour'`,
    );
    const dead = await put(
      `, state, runner, alive_at|, 'running', gen_random_uuid(), now() - interval '11 s'`,
    );
    await until(tess, dead, 'done');
    expect((await tess.call('GET', `/api/work/${alive}`)).json.work.state).toBe('running');
    await tess.call('DELETE', `/api/work/${alive}`);
  });

  test('what fails is tried again, five times in all, then said to have failed', async () => {
    const { services } = harness;
    const id = await put(`, state, runner, alive_at|, 'stopped', null, now()`);
    const database = {
      ...services.database,
      // Its first step fails, as with a disk that is full.
      transaction: <R>(work: (r: never) => Promise<R>) =>
        services.database.transaction((repositories) =>
          work({
            ...repositories,
            reviews: { ...repositories.reviews, begin: () => Promise.reject(new Error('no room')) },
          } as never),
        ),
    };
    const states: string[] = [];
    for (let i = 0; i < 6; i += 1) {
      // Out of the queue's sight between the tries.
      await sql(
        `update work set state = 'waiting', alive_at = now() + interval '1 hour' where id = '${id}' and state = 'stopped'`,
      );
      await runWork({ ...services, database } as never, id, randomUUID(), new AbortController().signal);
      const [row] = await sql<{ state: string }>(`select state from work where id = '${id}'`);
      states.push(row!.state);
      await sql(`update work set state = 'stopped' where id = '${id}' and state = 'waiting'`);
    }
    expect(states).toEqual(['waiting', 'waiting', 'waiting', 'waiting', 'failed', 'failed']);
    const { work } = (await tess.call('GET', `/api/work/${id}`)).json;
    expect(work.problem).toContain('5 tries');
  });

  test('a server that ends gives back what it has, and the try does not count', async () => {
    const id = await put(`, state, runner, alive_at|, 'waiting', null, now() + interval '1 hour'`);
    const ending = new AbortController();
    ending.abort();
    await runWork(harness.services, id, randomUUID(), ending.signal);
    const [row] = await sql<object>(`select state, runner, tries from work where id = '${id}'`);
    expect(row).toEqual({ state: 'waiting', runner: null, tries: 0 });
    await tess.call('DELETE', `/api/work/${id}`);
  });
});

test('months are made ahead of time, and work that ended long ago goes with its file', async () => {
  const old = (await sql<{ id: string }>(`select id from work where file_name is not null limit 1`))[0]!.id;
  await sql(`update work set ended_at = '2026-01-01' where id = '${old}'`);
  await keepHouse(harness.services);
  await keepHouse(harness.services);
  // The test's clock stands in March 2026.
  const months = await sql<{ name: string }>(
    `select relname as name from pg_class where relkind = 'r' and relname in ('log_point_2026_03', 'log_point_2026_04', 'log_point_2026_05', 'log_point_2026_06')`,
  );
  expect(months).toHaveLength(3);
  expect(await sql(`select 1 from work where id = '${old}'`)).toEqual([]);
  expect(await sql(`select 1 from work_piece where work_id = '${old}'`)).toEqual([]);
});

describe('side by side', () => {
  const never = new AbortController().signal;

  test('so many at a time, each once', async () => {
    let now = 0;
    let most = 0;
    const seen: number[] = [];
    await sideBySide(3, [...Array(20).keys()], never, async (item) => {
      most = Math.max(most, (now += 1));
      await new Promise((done) => setTimeout(done, 2));
      seen.push(item);
      now -= 1;
    });
    expect(most).toBe(3);
    expect(seen.sort((a, b) => a - b)).toEqual([...Array(20).keys()]);
  });

  test('ends with the first error, and begins nothing after it', async () => {
    const begun: number[] = [];
    const work = sideBySide(2, [0, 1, 2, 3, 4, 5], never, async (item) => {
      begun.push(item);
      await Promise.resolve();
      if (item === 1) throw new Error('the second');
      await new Promise((done) => setTimeout(done, 5));
    });
    await expect(work).rejects.toThrow('the second');
    await new Promise((done) => setTimeout(done, 20));
    expect(begun).toEqual([0, 1]);
  });
});
