import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { throwAwayFolder } from '../../scripts/lib/postgres.mjs';
import { back, countOf, devicesOn, makeJob } from './scene.ts';
import { rest, startStage } from './stage.ts';

/** Room for a cluster with the demo, and a little more. */
const SIZE = '400m';
const FULL_MS = 8000;

/** What was seen of a full disk, or why it was not tried. */
export type DiskFull =
  | { readonly diskFull: string }
  | {
      readonly acknowledged: number;
      readonly lost: number;
      readonly doubled: number;
      readonly saidNotReady: boolean;
      readonly recoverySeconds: number;
      readonly wrong?: true;
    };

/**
 * The disk of the database runs full while devices save, and is given room again: what was acknowledged is there, nothing was refused for good, and the servers
 * said that they are not ready. Needs a file system of its own, which only a superuser may mount.
 */
export async function diskFull(random: () => number): Promise<DiskFull> {
  const folder = throwAwayFolder('full');
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE},mode=755`, 'tmpfs', folder]);
  if (mounted.status !== 0)
    return { diskFull: 'not tried: a small file system cannot be mounted on this machine' };
  const home = join(folder, 'cluster');
  mkdirSync(home, { mode: 0o755 });
  try {
    const stage = await startStage(2, home);
    try {
      const job = await makeJob(stage.bases[0]!);
      const devices = await devicesOn(stage, job, random);
      await rest(2000);
      const filler = join(folder, 'filler');
      fill(filler);
      await rest(FULL_MS);
      const states = await Promise.all(
        stage.bases.map(async (base) => (await fetch(`${base}/health/ready`).catch(() => null))?.status),
      );
      rmSync(filler);
      const recoverySeconds = await back(stage, devices, performance.now());
      const acknowledged = (await Promise.all(devices.map((d) => d.stop()))).flat();
      const { lost, doubled, outOfOrder } = await countOf(stage.databaseUrl, job, acknowledged);
      const saidNotReady = states.every((status) => status === 503);
      return {
        acknowledged: acknowledged.length,
        lost,
        doubled,
        saidNotReady,
        recoverySeconds,
        ...((lost + doubled + outOfOrder > 0 || !saidNotReady) && { wrong: true as const }),
      };
    } finally {
      stage.end();
    }
  } finally {
    spawnSync('umount', ['-l', folder]);
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Writes until there is no room for another byte. */
function fill(path: string): void {
  const file = openSync(path, 'w');
  for (let size = 1 << 20; size >= 1; size = Math.floor(size / 16))
    try {
      for (;;) writeSync(file, Buffer.alloc(size));
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'ENOSPC') throw error;
    }
  closeSync(file);
}
