import { randomBytes, randomUUID } from 'node:crypto';
import { MikroORM } from '@mikro-orm/postgresql';
import { pino } from 'pino';
import { api, type RouteContract } from '@brine/contract/routes';
import { firstProblem } from '@brine/contract/validate';
import { createApp } from '../src/app.ts';
import { hashPassword } from '../src/auth/password.ts';
import { readConfig, type Config } from '../src/config.ts';
import { databaseOn, type Database } from '../src/database/database.ts';
import { migrate, openOrm } from '../src/database/orm.ts';
import type { Means, Services } from '../src/http/context.ts';
import { noSecond } from '../src/people/people.service.ts';
import { startThreads } from '../src/threads/threads.ts';
import type { Changes } from '../src/changes/changes.ts';
import { startQueue, type Queue } from '../src/work/queue.ts';
import type { Role } from '@brine/contract/routes';

export const PASSWORD = 'correct horse battery';
let hashOnce: Promise<string> | undefined;

/** An answer taken apart. */
export interface Answer {
  readonly status: number;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly json: any;
  readonly headers: Headers;
  readonly bytes: Uint8Array;
}

/** Where a request seems to come from. */
export interface From {
  readonly address?: string;
  readonly headers?: Readonly<Record<string, string>>;
}

/** A browser: keeps its cookie and its ticket. */
export interface Client {
  call(method: string, path: string, body?: unknown, from?: From): Promise<Answer>;
  signIn(login: string, password?: string, from?: From): Promise<Answer>;
  cookie: string | null;
  ticket: string | null;
  readonly device: string;
}

export interface Harness {
  readonly services: Services;
  readonly database: Database;
  readonly orm: MikroORM;
  client(): Client;
  person(login: string, role: Role, more?: { demo?: boolean }): Promise<string>;
  setTime(iso: string): void;
  stop(): Promise<void>;
}

/** A server on a database of its own in the cluster that bin/test started. Fails loudly where there is none. */
export async function startHarness(
  options: { config?: Partial<Config>; migrate?: boolean; queue?: boolean } = {},
): Promise<Harness> {
  const admin = process.env['BRINE_TEST_DATABASE_URL'];
  if (!admin)
    throw new Error(
      'BRINE_TEST_DATABASE_URL is not set: run bin/test (or bin/test --unit), which starts a private PostgreSQL',
    );
  const name = `test_${randomBytes(6).toString('hex')}`;
  await runSql(admin, `create database "${name}"`);
  const url = new URL(admin);
  url.pathname = `/${name}`;
  const orm = await openOrm(url.href);
  if (options.migrate !== false) await migrate(orm);
  let time = new Date('2026-03-02T09:00:00Z');
  const config: Config = {
    ...readConfig({ BRINE_DATABASE_URL: url.href, BRINE_WEB: 'none' }),
    ...options.config,
  };
  const database = databaseOn(orm);
  const means: Means = {
    database,
    now: () => time,
    config,
    log: pino({ level: process.env['BRINE_TEST_LOG'] ?? 'silent' }, process.stderr),
    threads: startThreads(),
  };
  const services: Services = {
    ...means,
    queue: options.queue ? await startQueue(means) : noQueue,
    changes: noChanges,
    aside: null,
  };
  const app = createApp(services);

  function client(): Client {
    const self: Client = {
      cookie: null,
      ticket: null,
      device: `device-${randomUUID()}`,
      async call(method, path, body, from = {}) {
        const headers: Record<string, string> = {
          host: 'localhost:4780',
          ...(self.cookie !== null && { cookie: `brine_session=${self.cookie}` }),
          ...(self.ticket !== null && { 'x-brine-ticket': self.ticket }),
          ...(body !== undefined && { 'content-type': 'application/json' }),
          ...from.headers,
        };
        const raw = typeof body === 'string' ? body : JSON.stringify(body);
        const environment = {
          incoming: {
            socket: { remoteAddress: from.address ?? '127.0.0.1', remotePort: 1, remoteFamily: 'IPv4' },
          },
        };
        const response = await app.request(
          `http://localhost:4780${path}`,
          { method, headers, ...(body !== undefined && { body: raw }) },
          environment,
        );
        const set = /brine_session=([^;]*)/.exec(response.headers.get('set-cookie') ?? '');
        if (set) self.cookie = set[1] || null;
        const bytes = new Uint8Array(await response.arrayBuffer());
        const json = parse(bytes);
        if (response.ok) holdToContract(method, path, json);
        return { status: response.status, json, headers: response.headers, bytes };
      },
      async signIn(login, password = PASSWORD, from = {}) {
        const answer = await self.call(
          'POST',
          '/api/sign-in',
          { login, password, device: self.device },
          from,
        );
        self.ticket = answer.json?.ticket ?? null;
        return answer;
      },
    };
    return self;
  }

  return {
    services,
    database,
    orm,
    client,
    async person(login, role, more = {}) {
      hashOnce ??= hashPassword(PASSWORD);
      const passwordHash = await hashOnce;
      const id = randomUUID();
      await database.transaction((repositories) =>
        repositories.people.create({
          id,
          login,
          name: `Name of ${login}`,
          role,
          passwordHash,
          disabledAt: null,
          ...noSecond,
          demo: more.demo ?? false,
          createdAt: time,
        }),
      );
      return id;
    },
    setTime: (iso) => {
      time = new Date(iso);
    },
    async stop() {
      await services.queue.close();
      await services.threads.close();
      await database.close();
      await runSql(admin, `drop database if exists "${name}" with (force)`);
    },
  };
}

/** Nothing is told of changes, except where a test asks for it by itself. */
const noChanges: Changes = {
  listen: (_changed, ended) => {
    // A stream that is opened ends at once.
    queueMicrotask(ended);
    return () => undefined;
  },
  close: () => Promise.resolve(),
};

/** Most tests ask for no work: they are spared the making of the queue's tables. */
const noQueue: Queue = {
  add: () => Promise.reject(new Error('this test has no queue; start it with { queue: true }')),
  close: () => Promise.resolve(),
};

/** A server with Tess, a technician who is signed in, and Vi, a viewer who is not. */
export async function startWithTess(
  options: Parameters<typeof startHarness>[0] = {},
): Promise<{ harness: Harness; tess: Client }> {
  const harness = await startHarness(options);
  await harness.person('tess', 'technician');
  await harness.person('vi', 'viewer');
  const tess = harness.client();
  await tess.signIn('tess');
  return { harness, tess };
}

/** A lead who is signed in. */
export async function aLead(harness: Harness, login = 'lea'): Promise<Client> {
  await harness.person(login, 'lead');
  const lead = harness.client();
  await lead.signIn(login);
  return lead;
}

/** A site, a unit and a job on it, made by a technician. */
export async function aJob(
  technician: Client,
  title = 'Replace the control',
): Promise<{ siteId: string; unitId: string; jobId: string }> {
  const site = await technician.call('POST', '/api/sites', { name: 'Quay', place: 'North' });
  const unit = await technician.call('POST', '/api/units', {
    siteId: site.json.site.id,
    name: 'Fish store',
    tag: 'FM-2',
    plate: 'R-449A',
  });
  const job = await technician.call('POST', '/api/jobs', { unitId: unit.json.unit.id, title });
  return { siteId: site.json.site.id, unitId: unit.json.unit.id, jobId: job.json.job.id };
}

/** An entry as a device would send it. */
export function anEntry(
  job: string,
  deviceSequence: number,
  body: unknown,
  more: { id?: string; seen?: number } = {},
) {
  return {
    id: more.id ?? randomUUID(),
    job,
    deviceSequence,
    deviceTime: '2026-03-02T09:00:00.000Z',
    seen: more.seen ?? 0,
    body,
  };
}

/** An answer that is not what its contract says fails the test that asked: the description of the API cannot lie. */
function holdToContract(method: string, path: string, json: unknown): void {
  const route = Object.values(api).find(
    (candidate) =>
      candidate.method === method.toLowerCase() &&
      new RegExp(`^/api${candidate.path.replace(/:\\w+/g, '[^/]+')}$`).test(path.split('?')[0]!),
  ) as RouteContract | undefined;
  if (!route?.answer) return;
  const unknown = firstProblem(route.answer.strict().noUnknown(), json);
  if (unknown)
    throw new Error(
      `${method} ${path}: the answer is not as in the contract: ${unknown.path}: ${unknown.message}`,
    );
}

async function runSql(url: string, sql: string): Promise<void> {
  const orm = await MikroORM.init({
    clientUrl: url,
    entities: [],
    discovery: { disableDynamicFileAccess: true, warnWhenNoEntities: false },
  });
  try {
    await orm.em.getConnection().execute(sql);
  } finally {
    await orm.close(true);
  }
}

function parse(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    return null;
  }
}
