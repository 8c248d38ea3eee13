import cluster from 'node:cluster';
import { join } from 'node:path';
import { root } from './project.mjs';
import { say } from './say.mjs';

/** A server that ran for less than this was no use: the next one waits twice as long. */
const SHORT_LIFE_MS = 10_000;
const LONGEST_WAIT_MS = 60_000;

/**
 * Starts so many servers on one address, which share one database; a request goes to any of them. One that dies is started again with its reason printed, the
 * others serve meanwhile. `ended(code)` is called once all are gone: after `stop()`, or where the first never came up; `began()` once the first serves. The first alone says where they are.
 */
export function startServers(count, env, ended, began = () => undefined) {
  let stopping = false;
  let served = false;
  let running = 0;
  const waits = Array.from({ length: count }, () => 500);
  // Each server takes connections by itself: handed out by this process, one could be given to a server that has just died, and would hang.
  cluster.schedulingPolicy = cluster.SCHED_NONE;
  cluster.setupPrimary({ exec: join(root, 'server/dist/main.js'), args: [], cwd: root });

  function serve(index, announces) {
    const started = Date.now();
    const server = cluster.fork({ ...env, BRINE_ANNOUNCES: announces ? '1' : '0' });
    running += 1;
    server.on('listening', () => {
      if (!served) {
        for (let other = 1; other < count; other += 1) serve(other, false);
        began();
      }
      served = true;
    });
    server.on('exit', (code, signal) => {
      running -= 1;
      if (stopping || !served) {
        if (running === 0) ended(stopping ? 0 : (code ?? 1));
        return;
      }
      waits[index] = Date.now() - started < SHORT_LIFE_MS ? Math.min(LONGEST_WAIT_MS, waits[index] * 2) : 500;
      const name = count === 1 ? 'The server' : `Server ${index + 1} of ${count}`;
      say(`${name} ended (${signal ?? `code ${code}`}). Starting it again …`);
      setTimeout(() => stopping || serve(index, false), waits[index]);
    });
  }
  serve(0, true);

  return {
    stop() {
      stopping = true;
      if (running === 0) ended(0);
      for (const server of Object.values(cluster.workers)) server.process.kill('SIGTERM');
    },
  };
}
