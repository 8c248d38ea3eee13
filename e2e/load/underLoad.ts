import { randomUUID } from 'node:crypto';
import { createReadStream, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { guessLayout } from '@brine/core/logs/reading';
import { rest, startStage } from '../chaos/stage.ts';
import { signInAt } from '../chaos/load.ts';
import { PASSWORD } from '../support/steps.ts';
import type { Bound } from './bound.ts';
import { writeLargeLog } from './largeLog.ts';
import { manyUnits } from './manyUnits.ts';

/** Units of the review, and bytes of the log, that the issue asks for. */
const UNITS = 2000;
const LOG_BYTES = 200_000_000;
/** At the 99th percentile, ms. */
const BOUND_MS = 300;

/**
 * One server under everything at once: a review of 2,000 units, sheets and exports one after the other, a log of 200 MB on its way in. What others wait for
 * meanwhile: `/health/live`, and an entry being saved.
 */
export async function underLoad(say: (text: string) => void): Promise<readonly Bound[]> {
  const file = join(tmpdir(), `brine-load-${randomUUID()}.csv`);
  const head = writeLargeLog(file, LOG_BYTES);
  const stage = await startStage(1);
  try {
    const [base] = stage.bases as [string];
    const device = randomUUID();
    const { ticket, cookie } = await signInAt(base, 'tess', PASSWORD, device);
    const ask = (path: string, init: RequestInit = {}) =>
      fetch(`${base}/api${path}`, {
        ...init,
        headers: { cookie, 'content-type': 'application/json', ...init.headers },
      });
    const { jobs } = (await (await ask('/jobs')).json()) as {
      jobs: readonly { id: string; title: string }[];
    };
    const job = jobs.find(({ title }) => /freezer|fish/i.test(title))?.id ?? jobs[0]!.id;
    await manyUnits(stage.databaseUrl, UNITS);

    const over = { yet: false };
    const counted = { sheets: 0, exports: 0 };
    const again = async (path: string, count: () => void): Promise<void> => {
      while (!over.yet) {
        const answer = await ask(path);
        await answer.arrayBuffer();
        if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
        count();
      }
    };
    const began = performance.now();
    const review = await ask('/reviews', { method: 'POST', body: '{}' });
    const reviewMs = performance.now() - began;
    const { work } = (await review.json()) as { work: { id: string } };
    const watches = [
      waits(over, 20, async () => {
        await (await fetch(`${base}/health/live`)).text();
      }),
      saves(over, base, ticket, job),
    ];
    const others = [
      again(`/jobs/${job}/sheet.pdf`, () => (counted.sheets += 1)),
      again(`/jobs/${job}/tables/settings.xlsx`, () => (counted.exports += 1)),
      again(`/jobs/${job}/job.brine.json`, () => (counted.exports += 1)),
    ];
    const log = await ask(
      `/jobs/${job}/logs/${randomUUID()}?name=large.csv&layout=${encodeURIComponent(JSON.stringify(guessLayout(head).layout))}`,
      {
        method: 'POST',
        headers: { 'content-type': 'text/csv' },
        body: Readable.toWeb(createReadStream(file)) as ReadableStream,
        // Node asks for it where a body is a stream.
        ...{ duplex: 'half' },
      },
    );
    if (log.status !== 201) throw new Error(`the log: ${log.status} ${await log.text()}`);
    const { log: taken } = (await log.json()) as { log: { samples: number } };
    const seconds = (performance.now() - began) / 1000;
    over.yet = true;
    const [live, save] = (await Promise.all(watches)) as [number[], number[]];
    await Promise.all(others);
    const { work: so } = (await (await ask(`/work/${work.id}`)).json()) as {
      work: { done: number; total: number };
    };
    say(
      `${seconds.toFixed(0)} s: ${taken.samples} rows taken in, ${so.done} of ${so.total} units reviewed, ${counted.sheets} sheets, ${counted.exports} exports`,
    );
    say(`/health/live ${spread(live)}; an entry saved ${spread(save)}`);
    return [
      { name: 'a review of 2,000 units answers', measured: reviewMs, bound: 1000, unit: 'ms' },
      { name: '/health/live under everything, p99', measured: at(live, 0.99), bound: BOUND_MS, unit: 'ms' },
      { name: 'an entry saved under everything, p99', measured: at(save, 0.99), bound: BOUND_MS, unit: 'ms' },
    ];
  } finally {
    stage.end();
    rmSync(file, { force: true });
  }
}

/** How long something takes, again and again until it is over, ms. */
async function waits(
  over: { readonly yet: boolean },
  pauseMs: number,
  work: () => Promise<void>,
): Promise<number[]> {
  const took: number[] = [];
  while (!over.yet) {
    const began = performance.now();
    await work();
    took.push(performance.now() - began);
    await rest(pauseMs);
  }
  return took;
}

/** Entries saved one after the other, as a page does. */
function saves(
  over: { readonly yet: boolean },
  base: string,
  ticket: string,
  job: string,
): Promise<number[]> {
  let sequence = 0;
  return waits(over, 50, async () => {
    const entry = {
      id: randomUUID(),
      job,
      deviceSequence: (sequence += 1),
      deviceTime: new Date().toISOString(),
      seen: 0,
      body: { kind: 'note', text: `under load ${sequence}` },
    };
    const answer = await fetch(`${base}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-brine-ticket': ticket },
      body: JSON.stringify({ entries: [entry] }),
    });
    const { results } = (await answer.json()) as { results: readonly { status: string }[] };
    if (results[0]?.status !== 'accepted') throw new Error(`an entry: ${JSON.stringify(results)}`);
  });
}

const at = (took: readonly number[], share: number): number =>
  took.toSorted((a, b) => a - b)[Math.floor((took.length - 1) * share)]!;
const spread = (took: readonly number[]) =>
  `${took.length} times, ${[0.5, 0.99, 1].map((share) => at(took, share).toFixed(0)).join(' / ')} ms in the middle, at p99 and at most`;
