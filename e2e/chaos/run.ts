// Kills servers and PostgreSQL at random under load, and counts what was acknowledged and is gone, doubled or out of order:
//   bin/test --chaos            100 kills of a server, 30 of PostgreSQL
//   a short part runs in every bin/test
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { seeded } from '../../core/testing/seeded.ts';
import { query } from '../support/database.ts';
import { PASSWORD } from '../support/steps.ts';
import { signInAt, startDevice, type Acknowledged, type Device } from './load.ts';
import { NEVER_MS, rest, startStage, type Stage } from './stage.ts';

const argument = (name: string, otherwise: number) => {
  const at = process.argv.indexOf(name);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const asked = {
  server: argument('--server-kills', 4),
  cluster: argument('--cluster-kills', 2),
} as const;
type Killed = keyof typeof asked;
const SERVERS = 2;
const DEVICES = 4;
/** The watch looks every second: a kill is seen by then. */
const SEEN_MS: Readonly<Record<Killed, number>> = { server: 50, cluster: 1100 };
const random = seeded(argument('--seed', 15));

const stage = await startStage(SERVERS);
let good = false;
try {
  const job = await makeJob(stage.bases[0]!);
  const devices = await Promise.all(Array.from({ length: DEVICES }, () => deviceOn(stage.bases, job)));
  const recoveries = await killAll(stage, devices);
  const acknowledged = (await Promise.all(devices.map((d) => d.stop()))).flat();
  const counted = await countOf(stage.databaseUrl, job, acknowledged);
  good = counted.lost + counted.doubled + counted.outOfOrder === 0 && acknowledged.length > 0;
  process.stdout.write(`${JSON.stringify({ kills: asked, ...counted, recoverySeconds: recoveries })}\n`);
} catch (error) {
  process.stderr.write(`${String((error as Error).stack)}\n`);
} finally {
  stage.end();
}
if (process.env['BRINE_RESULTS'])
  writeFileSync(process.env['BRINE_RESULTS'], JSON.stringify({ passed: good ? 1 : 0, failed: good ? 0 : 1 }));
process.exit(good ? 0 : 1);

/** A job of its own, made as a person makes one. */
async function makeJob(base: string): Promise<string> {
  const { cookie } = await signInAt(base, 'tess', PASSWORD, randomUUID());
  const make = async <Made extends string>(path: string, body: object, made: Made): Promise<string> => {
    const answer = await fetch(`${base}/api/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    });
    return ((await answer.json()) as Record<Made, { id: string }>)[made].id;
  };
  const siteId = await make('sites', { name: 'Chaos', place: '' }, 'site');
  const unitId = await make('units', { siteId, name: 'Box', tag: '', plate: '' }, 'unit');
  return make('jobs', { unitId, title: 'Under load' }, 'job');
}

async function deviceOn(bases: readonly string[], job: string): Promise<Device> {
  const device = randomUUID();
  const { ticket } = await signInAt(bases[0]!, 'tess', PASSWORD, device);
  return startDevice(bases, ticket, job, device, random);
}

/** Kills in a random order. Back is: every server is ready, and every device has saved something anew. Seconds that took. */
async function killAll({ killServer, killCluster, ready }: Stage, devices: readonly Device[]) {
  const order = (Object.keys(asked) as Killed[])
    .flatMap((kind) => Array.from({ length: asked[kind] }, () => ({ kind, at: random() })))
    .sort((a, b) => a.at - b.at);
  const took: Record<Killed, number[]> = { server: [], cluster: [] };
  for (const { kind } of order) {
    await rest(200 + random() * 600);
    if (kind === 'server') killServer(Math.floor(random() * SERVERS));
    else killCluster();
    const since = performance.now();
    const before = devices.map((d) => d.acknowledged());
    await rest(SEEN_MS[kind]);
    await ready();
    while (devices.some((d, i) => d.acknowledged() === before[i])) {
      const refusal = devices.find((d) => d.refused() !== null)?.refused();
      if (refusal) throw new Error(`a device was refused: ${refusal}`);
      if (performance.now() - since > NEVER_MS) throw new Error('a device saves no more');
      await rest(20);
    }
    took[kind].push((performance.now() - since) / 1000);
  }
  return { server: spread(took.server), cluster: spread(took.cluster) };
}

function spread(seconds: readonly number[]) {
  const sorted = [...seconds].sort((a, b) => a - b);
  const at = (share: number) => Number((sorted[Math.floor((sorted.length - 1) * share)] ?? 0).toFixed(2));
  return { median: at(0.5), longest: at(1) };
}

/** What the database holds of the job against what was acknowledged. */
async function countOf(databaseUrl: string, job: string, acknowledged: readonly Acknowledged[]) {
  const rows = (await query(
    databaseUrl,
    `select id, device, device_sequence as n from entry where job_id = '${job}' order by sequence`,
  )) as readonly { id: string; device: string; n: number }[];
  const stored = new Set(rows.map((row) => row.id));
  const last = new Map<string, number>();
  let outOfOrder = 0;
  for (const { device, n } of rows) {
    if (n <= (last.get(device) ?? 0)) outOfOrder += 1;
    last.set(device, n);
  }
  return {
    acknowledged: acknowledged.length,
    stored: rows.length,
    lost: acknowledged.filter((a) => !stored.has(a.id)).length,
    doubled: rows.length - new Set(rows.map((row) => `${row.device} ${row.n}`)).size,
    outOfOrder,
  };
}
