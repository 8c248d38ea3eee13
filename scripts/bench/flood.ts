import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import type { Bound } from '../../e2e/load/bound.ts';
import { startCluster, throwAwayFolder } from '../lib/postgres.mjs';

/** 586 kB of entries without a ticket. */
const FLOOD = JSON.stringify({ entries: Array(200_000).fill({}) });
/** Bounds of the issue: the answer, and every answer of /health/live meanwhile, ms. */
const ANSWER_MS = 100;
const LIVE_MS = 200;
const ROUNDS = 5;

/** An anonymous flood against a server of its own: how long its answer takes, and how long others wait meanwhile. */
export async function floodBounds(): Promise<readonly Bound[]> {
  const folder = throwAwayFolder('bench');
  const cluster = await startCluster(folder);
  const server = spawn(
    process.execPath,
    ['--import', 'tsx', '--conditions=brine-src', 'server/src/main.ts'],
    {
      env: {
        ...process.env,
        BRINE_DATABASE_URL: cluster.url,
        BRINE_PORT: '0',
        BRINE_WEB: 'none',
        BRINE_LOG: 'silent',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  try {
    const base = await ready(server.stdout);
    await fetch(`${base}/health/live`);
    let [answer, live, odd] = [0, 0, ''];
    for (let round = 0; round < ROUNDS; round += 1) {
      const began = performance.now();
      const flood = fetch(`${base}/api/entries`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: FLOOD,
      });
      const done = { yet: false };
      const watching = watch(base, done);
      const response = await flood;
      await response.text();
      answer = Math.max(answer, performance.now() - began);
      if (![401, 413].includes(response.status)) odd = `answered ${response.status}`;
      // What the server still does after its answer counts as well.
      await new Promise((resolve) => setTimeout(resolve, 300));
      done.yet = true;
      live = Math.max(live, await watching);
    }
    if (odd !== '') throw new Error(`the flood ${odd}; expected 401 or 413`);
    return [
      { name: '200,000 empty entries without a ticket', measured: answer, bound: ANSWER_MS, unit: 'ms' },
      { name: '/health/live meanwhile, the slowest', measured: live, bound: LIVE_MS, unit: 'ms' },
    ];
  } finally {
    server.kill('SIGKILL');
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function watch(base: string, done: { readonly yet: boolean }): Promise<number> {
  let slowest = 0;
  while (!done.yet) {
    const began = performance.now();
    await (await fetch(`${base}/health/live`)).text();
    slowest = Math.max(slowest, performance.now() - began);
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  return slowest;
}

async function ready(stdout: NodeJS.ReadableStream): Promise<string> {
  let text = '';
  for await (const piece of stdout) {
    text += String(piece);
    const found = /READY (\S+)/.exec(text);
    if (found) return found[1]!;
  }
  throw new Error('the server ended before it was ready');
}
