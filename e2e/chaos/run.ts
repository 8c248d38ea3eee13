// Kills servers and PostgreSQL at random under load, and counts what was acknowledged and is gone, doubled or out of order:
//   bin/test --chaos            100 kills of a server, 30 of PostgreSQL
//   a short part runs in every bin/test
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { seeded } from '../../core/testing/seeded.ts';
import { freePort, startCluster, throwAwayFolder } from '../../scripts/lib/postgres.mjs';
import { watchCluster } from '../../scripts/lib/watch.mjs';
import { query } from '../support/database.ts';
import { PASSWORD } from '../support/steps.ts';
import { signInAt, startDevice, type Acknowledged } from './load.ts';

const root = fileURLToPath(new URL('../..', import.meta.url));
const argument = (name: string, otherwise: number) => {
  const at = process.argv.indexOf(name);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const serverKills = argument('--server-kills', 4);
const clusterKills = argument('--cluster-kills', 2);
const SERVERS = 2;
const DEVICES = 4;
/** Whatever machine: longer than this is not back at all. */
const NEVER_MS = 120_000;

const random = seeded(argument('--seed', 15));
const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));
const home = throwAwayFolder('chaos');
const cluster = await startCluster(home);
const endWatch = watchCluster(cluster);
const servers: { port: number; child: ChildProcess; base: string }[] = [];
let ending = false;

for (let i = 0; i < SERVERS; i += 1) {
  const port = await freePort();
  servers.push({ port, base: `http://127.0.0.1:${port}`, child: serve(port) });
  await ready(servers[i]!.base);
}

/** A server that is started again whenever it goes, as a supervisor does. */
function serve(port: number): ChildProcess {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    env: {
      ...process.env,
      BRINE_DATABASE_URL: cluster.url,
      BRINE_PORT: String(port),
      BRINE_DEMO: '1',
      BRINE_LOG: 'silent',
      BRINE_TLS_CERT: '',
      BRINE_TLS_KEY: '',
    },
    stdio: ['ignore', 'ignore', 'ignore'],
  });
  child.on('exit', () => {
    const mine = servers.find((s) => s.port === port);
    if (!ending && mine) setTimeout(() => (mine.child = serve(port)), 100);
  });
  return child;
}

async function ready(base: string): Promise<void> {
  const end = Date.now() + NEVER_MS;
  while (
    (await fetch(`${base}/health/ready`, { signal: AbortSignal.timeout(2000) }).catch(() => null))?.status !==
    200
  ) {
    if (Date.now() > end) throw new Error(`${base} is not ready`);
    await rest(50);
  }
}

const { cookie } = await signInAt(servers[0]!.base, 'tess', PASSWORD, randomUUID());
const call = async (path: string, body: object) =>
  (await (
    await fetch(`${servers[0]!.base}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    })
  ).json()) as { job: { id: string }; unit: { id: string }; site: { id: string } };
const { site } = await call('/api/sites', { name: 'Chaos', place: '' });
const { unit } = await call('/api/units', { siteId: site.id, name: 'Box', tag: '', plate: '' });
const { job } = await call('/api/jobs', { unitId: unit.id, title: 'Under load' });
const bases = servers.map((s) => s.base);
const devices = await Promise.all(
  Array.from({ length: DEVICES }, async () => {
    const device = randomUUID();
    const { ticket } = await signInAt(bases[0]!, 'tess', PASSWORD, device);
    return startDevice(bases, ticket, job.id, device, random);
  }),
);

const kills = [
  ...Array.from({ length: serverKills }, () => 'server' as const),
  ...Array.from({ length: clusterKills }, () => 'cluster' as const),
].sort(() => random() - 0.5);
const recoveries = { server: [] as number[], cluster: [] as number[] };
for (const kind of kills) {
  await rest(200 + random() * 600);
  if (kind === 'server') servers[Math.floor(random() * SERVERS)]!.child.kill('SIGKILL');
  else
    process.kill(
      Number(readFileSync(join(cluster.home, 'data/postmaster.pid'), 'utf8').split('\n')[0]),
      'SIGKILL',
    );
  const since = performance.now();
  // Back is: a save that began after the kill is acknowledged, and every server is ready.
  const before = devices.map((d) => d.acknowledged());
  await rest(kind === 'server' ? 50 : 1100);
  await Promise.all(bases.map(ready));
  while (devices.some((d, i) => d.acknowledged() === before[i])) {
    const refusal = devices.find((d) => d.refused() !== null)?.refused();
    if (refusal) throw new Error(`a device was refused: ${refusal}`);
    if (performance.now() - since > NEVER_MS) throw new Error('a device saves no more');
    await rest(20);
  }
  recoveries[kind].push(performance.now() - since);
}
const acknowledged = (await Promise.all(devices.map((d) => d.stop()))).flat();
const rows = (await query(
  cluster.url,
  `select id, device, device_sequence as n, sequence from entry where job_id = '${job.id}' order by sequence`,
)) as readonly { id: string; device: string; n: number; sequence: number }[];

const result = {
  kills: { server: serverKills, cluster: clusterKills },
  acknowledged: acknowledged.length,
  stored: rows.length,
  lost: acknowledged.filter((a: Acknowledged) => !rows.some((r) => r.id === a.id)).length,
  doubled: rows.length - new Set(rows.map((r) => `${r.device} ${r.n}`)).size,
  outOfOrder: outOfOrder(),
  recoverySeconds: { server: spread(recoveries.server), cluster: spread(recoveries.cluster) },
};

function outOfOrder(): number {
  const last = new Map<string, number>();
  let found = 0;
  for (const { device, n } of rows) {
    if (n <= (last.get(device) ?? 0)) found += 1;
    last.set(device, n);
  }
  return found;
}

function spread(ms: readonly number[]) {
  const sorted = [...ms].sort((a, b) => a - b);
  const at = (share: number) =>
    Number(((sorted[Math.floor((sorted.length - 1) * share)] ?? 0) / 1000).toFixed(2));
  return { median: at(0.5), longest: at(1) };
}

ending = true;
endWatch();
for (const { child } of servers) child.kill('SIGKILL');
cluster.stop();
rmSync(home, { recursive: true, force: true });
process.stdout.write(`${JSON.stringify(result)}\n`);
const good = result.lost + result.doubled + result.outOfOrder === 0 && result.acknowledged > 0;
if (process.env['BRINE_RESULTS'])
  writeFileSync(process.env['BRINE_RESULTS'], JSON.stringify({ passed: good ? 1 : 0, failed: good ? 0 : 1 }));
process.exit(good ? 0 : 1);
