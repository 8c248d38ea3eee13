// Kills servers and PostgreSQL at random under load, and counts what was acknowledged and is gone, doubled or out of order:
//   bin/test --chaos            100 kills of a server, 30 of PostgreSQL
//   a short part runs in every bin/test
import { writeFileSync } from 'node:fs';
import { seeded } from '../../core/testing/seeded.ts';
import { manyUnits } from '../load/manyUnits.ts';
import { diskFull } from './diskFull.ts';
import type { Device } from './load.ts';
import { beginReview } from './review.ts';
import { back, countOf, devicesOn, makeJob } from './scene.ts';
import { rest, startStage, type Stage } from './stage.ts';

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
/** The watch looks every second: a kill is seen by then. */
const SEEN_MS: Readonly<Record<Killed, number>> = { server: 50, cluster: 1100 };
const random = seeded(argument('--seed', 15));
/** Units of the review that goes on meanwhile; 0: those of the demo. */
const units = argument('--units', 0);

const stage = await startStage(SERVERS);
let good = false;
try {
  const job = await makeJob(stage.bases[0]!);
  if (units > 0) await manyUnits(stage.databaseUrl, units);
  const review = await beginReview(stage);
  const devices = await devicesOn(stage, job, random);
  const recoveries = await killAll(stage, devices);
  const acknowledged = (await Promise.all(devices.map((d) => d.stop()))).flat();
  const counted = await countOf(stage.databaseUrl, job, acknowledged);
  const reviewed = await review.through();
  const full = argument('--disk-full', 0) > 0 ? await diskFull(random) : { diskFull: 'not in this run' };
  good =
    counted.lost + counted.doubled + counted.outOfOrder === 0 &&
    acknowledged.length > 0 &&
    reviewed.notOnce === 0 &&
    !('wrong' in full);
  process.stdout.write(
    `${JSON.stringify({ kills: asked, ...counted, recoverySeconds: recoveries, review: reviewed, full })}\n`,
  );
} catch (error) {
  process.stderr.write(`${String((error as Error).stack)}\n`);
} finally {
  stage.end();
}
if (process.env['BRINE_RESULTS'])
  writeFileSync(process.env['BRINE_RESULTS'], JSON.stringify({ passed: good ? 1 : 0, failed: good ? 0 : 1 }));
process.exit(good ? 0 : 1);

/** Kills in a random order; the seconds until all was back each time. */
async function killAll(stage: Stage, devices: readonly Device[]) {
  const { killServer, killCluster } = stage;
  const order = (Object.keys(asked) as Killed[])
    .flatMap((kind) => Array.from({ length: asked[kind] }, () => ({ kind, at: random() })))
    .sort((a, b) => a.at - b.at);
  const took: Record<Killed, number[]> = { server: [], cluster: [] };
  for (const { kind } of order) {
    await rest(200 + random() * 600);
    if (kind === 'server') killServer(Math.floor(random() * SERVERS));
    else killCluster();
    const since = performance.now();
    await rest(SEEN_MS[kind]);
    took[kind].push(await back(stage, devices, since));
  }
  return { server: spread(took.server), cluster: spread(took.cluster) };
}

function spread(seconds: readonly number[]) {
  const sorted = [...seconds].sort((a, b) => a - b);
  const at = (share: number) => Number((sorted[Math.floor((sorted.length - 1) * share)] ?? 0).toFixed(2));
  return { median: at(0.5), longest: at(1) };
}
