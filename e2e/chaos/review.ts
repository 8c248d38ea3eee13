import { randomUUID } from 'node:crypto';
import { query } from '../support/database.ts';
import { PASSWORD } from '../support/steps.ts';
import { signInAt } from './load.ts';
import { rest, type Stage } from './stage.ts';

/** A review of 2,000 units takes some minutes where nothing is killed. */
const NEVER_MS = 30 * 60_000;

/** A review that goes on while servers die. */
export interface ReviewUnderWay {
  /** Waits until it is through; how many units it has, how many of them did not come through just once, and how long its beginning and all of it took. */
  through(): Promise<{
    readonly units: number;
    readonly notOnce: number;
    readonly answeredInMs: number;
    readonly seconds: number;
  }>;
}

/** Begins a review, as a person does. */
export async function beginReview({ bases, databaseUrl }: Stage): Promise<ReviewUnderWay> {
  const base = bases[0]!;
  const { cookie } = await signInAt(base, 'tess', PASSWORD, randomUUID());
  const began = performance.now();
  const answer = await fetch(`${base}/api/reviews`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: '{}',
  });
  const answeredInMs = Math.round(performance.now() - began);
  const { work } = (await answer.json()) as { work: { id: string } };
  const standing = async () =>
    (
      (await query(
        databaseUrl,
        `select w.state, w.problem, count(l.*)::int as units,
                count(l.*)::int - count(distinct l.nth)::int as "notOnce", coalesce(max(l.nth), 0)::int as last
           from work w left join review_line l on l.work_id = w.id where w.id = '${work.id}' group by 1, 2`,
      )) as [{ state: string; problem: string; units: number; notOnce: number; last: number }]
    )[0];
  return {
    async through() {
      const end = Date.now() + NEVER_MS;
      for (;;) {
        const { state, problem, units, notOnce, last } = await standing();
        if (state === 'failed') throw new Error(`the review failed: ${problem}`);
        // Numbered from 1 without a gap: each unit came through just once.
        if (state === 'done')
          return {
            units,
            notOnce: notOnce + Math.abs(units - last),
            answeredInMs,
            seconds: Math.round((performance.now() - began) / 1000),
          };
        if (Date.now() > end) throw new Error(`the review is still ${state}`);
        await rest(500);
      }
    },
  };
}
