import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { rest } from '../chaos/stage.ts';
import { signInAt, startDevice } from '../chaos/load.ts';
import { query } from '../support/database.ts';
import { PASSWORD } from '../support/steps.ts';
import { clients } from './clients.ts';
import { startFilled } from './filledStage.ts';
import type { CompanySize } from './fillCompany.ts';

const size: CompanySize = { sites: 500, units: 2000, jobs: 6000, entriesEach: 33, logPoints: 600_000 };
/** How often memory is read. */
const LOOK_S = 10;
/** A server fills its caches and its statements first. */
const FIRST_MINUTES = 10;
/** The end may be so much above what it was after the beginning, per cent. */
const GROWTH = 110;
/** Readers side by side; between two questions each rests, as people do. */
const READERS = 10;
const PAUSE_MS = 300;
/** So long a device saves to one job. */
const ONE_JOB_MS = 20_000;

/** A server under mixed work for some minutes: readers, devices that save, people who sign in and out, streams of changes, papers. Whether its memory stays flat. */
export async function soak(minutes: number, say: (text: string) => void) {
  const filled = await startFilled(1, size, say);
  const { stage, base, cookie } = filled;
  const over = { yet: false };
  try {
    const ids = (await query(
      stage.databaseUrl,
      'select id, unit_id from job where last_sequence > 0 limit 400',
    )) as {
      id: string;
      unit_id: string;
    }[];
    const [log] = (await query(
      stage.databaseUrl,
      `select id, job_id from log where name = 'A year of minutes' limit 1`,
    )) as {
      id: string;
      job_id: string;
    }[];
    const of = (n: number) => ids[n % ids.length]!;
    const paths: readonly ((n: number) => string)[] = [
      () => '/me',
      () => '/jobs',
      (n) => `/jobs?search=call ${n % 90}`,
      (n) => `/jobs?unit=${of(n).unit_id}`,
      (n) => `/jobs/${of(n).id}`,
      (n) => `/jobs/${of(n).id}/entries`,
      (n) => `/places?search=store ${n % 400}`,
      (n) => `/units?search=W-${n % 900}`,
      () => '/today',
      (n) =>
        `/jobs/${log!.job_id}/logs/${log!.id}?from=2025-0${1 + (n % 9)}-01T00:00:00Z&to=2025-0${1 + (n % 9)}-04T00:00:00Z`,
    ];
    const device = randomUUID();
    const { ticket } = await signInAt(base, 'tess', PASSWORD, device);
    let saved = 0;
    let visit = 0;
    const others = [
      again(over, 0, async () => {
        const saving = startDevice([base], ticket, of((visit += 1)).id, `${device}-${visit}`, Math.random);
        for (let waited = 0; waited < ONE_JOB_MS && !over.yet; waited += 250) await rest(250);
        saved += (await saving.stop()).length;
      }),
      again(over, 5000, async () => {
        const { cookie: own } = await signInAt(base, 'tess', PASSWORD, randomUUID());
        await fetch(`${base}/api/sign-out`, {
          method: 'POST',
          headers: { cookie: own, 'content-type': 'application/json' },
          body: '{}',
        });
      }),
      again(over, 3000, async () => {
        const left = new AbortController();
        const stream = await fetch(`${base}/api/changes`, { headers: { cookie }, signal: left.signal });
        await rest(2500);
        left.abort();
        await stream.body?.cancel().catch(() => undefined);
      }),
      again(over, 20_000, async () => {
        const answer = await fetch(
          `${base}/api/jobs/${of(Math.floor(Math.random() * 50)).id}/job.brine.json`,
          { headers: { cookie } },
        );
        await answer.arrayBuffer();
      }),
    ];
    const memory: number[] = [];
    const [pid] = stage.pids() as [number];
    const looking = again(over, LOOK_S * 1000, () => {
      memory.push(residentMb(pid));
      return Promise.resolve();
    });
    const load = await clients(READERS, minutes * 60, (n) => ({
      url: encodeURI(`${base}/api${paths[n % paths.length]!(n)}`),
      headers: { cookie },
      pause: PAUSE_MS,
    }));
    over.yet = true;
    await Promise.all([...others, looking]);
    const middle = (some: readonly number[]) => [...some].sort((a, b) => a - b)[Math.floor(some.length / 2)]!;
    const perMinute = 60 / LOOK_S;
    const early = middle(memory.slice(FIRST_MINUTES * perMinute, 2 * FIRST_MINUTES * perMinute));
    const late = middle(memory.slice(-FIRST_MINUTES * perMinute));
    say(
      `${load.took.length} answers (${load.perSecond.toFixed(0)} a second), ${saved} entries saved, in ${minutes} min`,
    );
    say(
      `memory every ten minutes, MB: ${memory.filter((_, i) => i % (FIRST_MINUTES * perMinute) === 0).join(', ')}; at most ${Math.max(...memory)}`,
    );
    return [
      {
        name: `memory of the last ten minutes (${late} MB, was ${early})`,
        measured: (100 * late) / early,
        bound: GROWTH,
        unit: '%',
      },
    ];
  } finally {
    over.yet = true;
    stage.end();
  }
}

/** Does something every so often until it is over. */
async function again(
  over: { readonly yet: boolean },
  everyMs: number,
  work: () => Promise<unknown>,
): Promise<void> {
  while (!over.yet) {
    await work();
    for (let waited = 0; waited < everyMs && !over.yet; waited += 250) await rest(250);
  }
}

/** What a process holds in memory, MB (proc(5), VmRSS). */
function residentMb(pid: number): number {
  const [, kb] = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return Math.round(Number(kb) / 1024);
}
