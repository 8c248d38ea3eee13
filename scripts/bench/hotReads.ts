import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { clients } from '../../e2e/load/clients.ts';
import { freePort } from '../lib/postgres.mjs';

/** At the same time; a processor shared with PostgreSQL and with whoever asks. */
const CLIENTS = 8;
const SECONDS = 4;
/** Rounds, the product and the bare server in turn; the middle one counts. */
const ROUNDS = 3;
/** Per cent of what a bare server answers. */
const LEAST_SHARE = 50;

/** How many requests a second the product answers, in per cent of a bare server with the same session check and the same prepared selects. */
export async function hotReads(
  base: string,
  databaseUrl: string,
  cookie: string,
  jobs: readonly string[],
  say: (text: string) => void,
) {
  const port = await freePort();
  const bare = spawn(
    process.execPath,
    ['--import', 'tsx', '--conditions=brine-src', fileURLToPath(new URL('./bareHono.ts', import.meta.url))],
    {
      env: { ...process.env, BRINE_DATABASE_URL: databaseUrl, BRINE_PORT: String(port) },
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  try {
    await once(bare.stdout, 'data');
    const results = [];
    const of = (n: number) => jobs[n % jobs.length]!;
    const paths: readonly (readonly [string, (n: number) => string])[] = [
      ['who is signed in', () => '/me'],
      ['a job', (n) => `/jobs/${of(n)}`],
      ['a page of jobs', () => '/jobs'],
      ['entries of a job', (n) => `/jobs/${of(n)}/entries`],
    ];
    for (const [name, path] of paths) {
      const rate = async (at: string) =>
        (await clients(CLIENTS, SECONDS, (n) => ({ url: `${at}/api${path(n)}`, headers: { cookie } })))
          .perSecond;
      const rounds: { readonly ours: number; readonly bare: number }[] = [];
      for (let i = 0; i < ROUNDS; i += 1)
        rounds.push({ ours: await rate(base), bare: await rate(`http://127.0.0.1:${port}`) });
      rounds.sort((a, b) => a.ours / a.bare - b.ours / b.bare);
      const { ours, bare: least } = rounds[Math.floor(ROUNDS / 2)]!;
      say(`${name}: ${ours.toFixed(0)} requests a second, a bare server ${least.toFixed(0)}`);
      results.push({
        name: `bare ÷ ours: ${name}`,
        measured: (100 * least) / ours,
        bound: 10_000 / LEAST_SHARE,
        unit: '%',
      });
    }
    return results;
  } finally {
    bare.kill('SIGKILL');
  }
}
