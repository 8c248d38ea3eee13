import { randomUUID } from 'node:crypto';
import { query } from '../support/database.ts';
import { PASSWORD } from '../support/steps.ts';
import { signInAt, startDevice, type Acknowledged, type Device } from './load.ts';
import { NEVER_MS, rest, type Stage } from './stage.ts';

const DEVICES = 4;

/** A job of its own, made as a person makes one. */
export async function makeJob(base: string): Promise<string> {
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

async function deviceOn(bases: readonly string[], job: string, random: () => number): Promise<Device> {
  const device = randomUUID();
  const { ticket } = await signInAt(bases[0]!, 'tess', PASSWORD, device);
  return startDevice(bases, ticket, job, device, random);
}

/** Devices that save to one job all the time. */
export const devicesOn = ({ bases }: Stage, job: string, random: () => number): Promise<readonly Device[]> =>
  Promise.all(Array.from({ length: DEVICES }, () => deviceOn(bases, job, random)));

/** Back is: every server is ready, and every device has saved something anew. Seconds since `since` that took. */
export async function back(stage: Stage, devices: readonly Device[], since: number): Promise<number> {
  const before = devices.map((d) => d.acknowledged());
  await stage.ready();
  while (devices.some((d, i) => d.acknowledged() === before[i])) {
    const refusal = devices.find((d) => d.refused() !== null)?.refused();
    if (refusal) throw new Error(`a device was refused: ${refusal}`);
    if (performance.now() - since > NEVER_MS) throw new Error('a device saves no more');
    await rest(20);
  }
  return (performance.now() - since) / 1000;
}

/** What the database holds of the job against what was acknowledged. */
export async function countOf(databaseUrl: string, job: string, acknowledged: readonly Acknowledged[]) {
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
