import { readFileSync } from 'node:fs';
import { createServer } from 'node:https';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { serve } from '@hono/node-server';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { theCompany } from './company/company.service.ts';
import { DEMO_MOUNT } from '@brine/contract/paths';
import { readConfig, type Config } from './config.ts';
import { databaseOn } from './database/database.ts';
import { migrate, NewerDatabase, oneAtATime, openOrm } from './database/orm.ts';
import { demoAside } from './demo/aside.ts';
import { loadDemo } from './demo/loadDemo.ts';
import type { Means } from './http/context.ts';
import { letGoOfStalledBodies } from './http/stalledBodies.ts';
import { firstLeadLink } from './people/people.service.ts';
import { startChanges } from './changes/changes.ts';
import { startSummaries } from './summaries/summaries.ts';
import { startThreads } from './threads/threads.ts';
import { startQueue } from './work/queue.ts';

/** Open requests get this long at a stop. */
const GRACE_MS = 10_000;

const config = read();
const log = pino({ level: config.logLevel, base: null, redact: ['req.headers.cookie'] }, process.stderr);
const orm = await openOrm(config.databaseUrl);
await migrate(orm).catch(refused);
const means: Means = {
  database: databaseOn(orm, log),
  now: () => new Date(),
  config,
  log,
  threads: startThreads(),
};
const { demoPeople, link } = await prepare();
const queue = await startQueue(means);
const summaries = startSummaries(means);
const changes = startChanges(config.databaseUrl, log);

const aside = config.demo ? null : demoAside(means, createApp);
const app = createApp({ ...means, queue, changes, aside });
const server = serve(
  {
    fetch: (request: Request, environment: unknown) =>
      aside && new URL(request.url).pathname.startsWith(`${DEMO_MOUNT}/api/`)
        ? aside.fetch(request, environment)
        : app.fetch(request, environment),
    hostname: config.host,
    port: config.port,
    ...(config.tls && {
      createServer,
      serverOptions: { cert: readFileSync(config.tls.certificate), key: readFileSync(config.tls.key) },
    }),
  },
  (address) => announce(address),
);
letGoOfStalledBodies(server as Server);
server.on('error', (error: NodeJS.ErrnoException) => {
  const reason =
    error.code === 'EADDRINUSE' ? `port ${config.port} is taken; choose another with --port` : error.message;
  process.stderr.write(`Brine Dial cannot serve: ${reason}\n`);
  process.exit(1);
});

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => void stop(signal));

async function stop(signal: string): Promise<void> {
  if (stopping) return;
  stopping = true;
  log.info({ signal }, 'stopping');
  const force = setTimeout(() => process.exit(1), GRACE_MS);
  force.unref();
  // Streams that never end by themselves would hold the server open.
  await changes.close();
  await new Promise<void>((resolve) => {
    server.close(() => resolve());
    (server as { closeIdleConnections?: () => void }).closeIdleConnections?.();
  });
  await aside?.close();
  await queue.close();
  await summaries.close();
  await means.threads.close();
  await means.database.close();
  process.exit(0);
}

/** What must stand in the database before anybody is served. One server at a time: the next finds it there. */
async function prepare() {
  return oneAtATime(orm, async () => {
    if (config.demo) return { demoPeople: await loadDemo(means), link: null };
    await means.database.transaction(theCompany);
    return { demoPeople: [], link: config.announces ? await firstLeadLink(means) : null };
  });
}

/** What a person at the terminal needs: the address, the demo sign-ins or the first link. One line starts with READY for scripts. */
function announce(address: AddressInfo): void {
  if (!config.announces) return;
  const scheme = config.tls ? 'https' : 'http';
  const host = ['0.0.0.0', '::'].includes(config.host) ? 'localhost' : config.host;
  const url = config.publicUrl ?? `${scheme}://${host}:${address.port}`;
  const out = [`READY ${url}`, '', `Brine Dial is at ${url}`];
  for (const person of demoPeople)
    out.push(`  ${person.role.padEnd(11)} ${person.login.padEnd(6)} ${person.password}`);
  if (demoPeople.length > 0) out.push('  (demo sign-ins work on this machine only)');
  if (link)
    out.push(
      'Nobody leads yet. Open this link once to become the first lead:',
      `  ${url}/link/${link.token}`,
      `  (good until ${link.expiresAt})`,
    );
  out.push('Ctrl-C stops everything.');
  process.stdout.write(`${out.join('\n')}\n`);
}

/** A database this version must not touch is said in a sentence, without a stack. */
function refused(error: unknown): never {
  if (!(error instanceof NewerDatabase)) throw error;
  process.stderr.write(`${error.message}\n`);
  return process.exit(2);
}

function read(): Config {
  try {
    return readConfig(process.env);
  } catch (error) {
    process.stderr.write(`${(error as Error).message}\n`);
    return process.exit(2);
  }
}
