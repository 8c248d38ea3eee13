import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { freePort, startCluster, throwAwayFolder } from '../../scripts/lib/postgres.mjs';
import { watchCluster } from '../../scripts/lib/watch.mjs';

const root = fileURLToPath(new URL('../..', import.meta.url));
/** Whatever machine: longer than this is not back at all. */
export const NEVER_MS = 120_000;
const RESTART_MS = 100;

export const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** Servers on one database, all of which may be killed: each is started again, as a supervisor does. */
export interface Stage {
  readonly bases: readonly string[];
  readonly databaseUrl: string;
  killServer(index: number): void;
  killCluster(): void;
  /** The processes of the servers, as they are now. */
  pids(): readonly number[];
  /** Waits until every server says that a write would succeed. */
  ready(): Promise<void>;
  end(): void;
}

/** Starts a watched cluster of its own, in a folder of its own or the one given, and so many servers on it. Whoever starts it ends it, whatever happens. */
export async function startStage(count: number, home = throwAwayFolder('chaos')): Promise<Stage> {
  const cluster = await startCluster(home);
  const endWatch = watchCluster(cluster);
  const ports = await Promise.all(Array.from({ length: count }, freePort));
  const bases = ports.map((port) => `http://127.0.0.1:${port}`);
  const children: ChildProcess[] = [];
  let ending = false;

  function serve(index: number): void {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        BRINE_DATABASE_URL: cluster.url,
        BRINE_DATA_FOLDER: cluster.home,
        BRINE_PORT: String(ports[index]),
        BRINE_DEMO: '1',
        BRINE_LOG: 'silent',
        BRINE_TLS_CERT: '',
        BRINE_TLS_KEY: '',
      },
      stdio: 'ignore',
    });
    children[index] = child;
    child.on('exit', () => {
      if (!ending) setTimeout(() => ending || serve(index), RESTART_MS);
    });
  }
  async function readyAt(base: string): Promise<void> {
    const end = Date.now() + NEVER_MS;
    const status = async () =>
      (await fetch(`${base}/health/ready`, { signal: AbortSignal.timeout(2000) }).catch(() => null))?.status;
    while ((await status()) !== 200) {
      if (Date.now() > end) throw new Error(`${base} is not ready`);
      await rest(50);
    }
  }
  const stage: Stage = {
    bases,
    databaseUrl: cluster.url,
    killServer: (index) => void children[index]!.kill('SIGKILL'),
    killCluster: () => {
      const pid = readFileSync(join(cluster.home, 'data/postmaster.pid'), 'utf8').split('\n')[0];
      process.kill(Number(pid), 'SIGKILL');
    },
    pids: () => children.map((child) => child.pid!),
    ready: async () => void (await Promise.all(bases.map(readyAt))),
    end: () => {
      ending = true;
      endWatch();
      for (const child of children) child.kill('SIGKILL');
      cluster.stop();
      rmSync(home, { recursive: true, force: true });
    },
  };
  try {
    // One after the other: the first one makes the tables and loads the demo.
    for (const [index, base] of bases.entries()) {
      serve(index);
      await readyAt(base);
    }
  } catch (error) {
    stage.end();
    throw error;
  }
  return stage;
}
