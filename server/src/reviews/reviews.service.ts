import type { Review as ReviewAnswer, UnitJudged } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { GoalId } from '@brine/core/judgement/tuning';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { ThreadPool } from './threadPool.ts';
import { unitsWithPlan } from './unitsWithPlan.ts';

/** A unit of a review, judged or still to come. */
export interface ReviewLine {
  readonly jobId: string;
  readonly unit: string;
  readonly site: string;
  judged: UnitJudged | null;
  problem: string | null;
}

interface Review {
  readonly id: string;
  readonly goal: GoalId | null;
  readonly lines: ReviewLine[];
  readonly off: AbortController;
}

/**
 * Reviews under way and the last ones done. They are computed from what the database holds and can be computed again, so they live in memory: a restart forgets
 * them, and asking for one then says so.
 */
const reviews = new Map<string, Review>();
const KEPT = 20;
const pool = new ThreadPool();
export const closeReviews = (): Promise<void> => pool.close();

/** Begins a review of every unit with a plan, by its newest job that is not archived. Answers at once; the work goes on in threads. */
export async function startReview(services: Services, goal: GoalId | null): Promise<ReviewAnswer> {
  const units = await services.database.transaction((repositories) => unitsWithPlan(repositories, goal));
  const review: Review = {
    id: randomUUID(),
    goal,
    lines: units.map(({ jobId, name, site }) => ({ jobId, unit: name, site, judged: null, problem: null })),
    off: new AbortController(),
  };
  reviews.set(review.id, review);
  for (const old of [...reviews.keys()].slice(0, Math.max(0, reviews.size - KEPT))) stopReview(old, true);
  units.forEach(({ toReview }, i) => {
    const line = review.lines[i]!;
    pool.judge(toReview, review.off.signal).then(
      (judged) => (line.judged = judged),
      (error: Error) => (line.problem = review.off.signal.aborted ? null : error.message),
    );
  });
  return viewOf(review);
}

export function readReview(id: string): ReviewAnswer {
  return viewOf(mustFind(id));
}

/** Stops what has not begun; what is judged stays to be read. */
export function stopReview(id: string, forget = false): ReviewAnswer {
  const review = mustFind(id);
  review.off.abort();
  if (forget) reviews.delete(id);
  return viewOf(review);
}

function mustFind(id: string): Review {
  const review = reviews.get(id);
  if (!review) throw new AppError('notFound', 'This review is no longer there; begin it again');
  return review;
}

function viewOf({ id, goal, lines, off }: Review): ReviewAnswer {
  return {
    id,
    goal,
    total: lines.length,
    done: lines.filter((line) => line.judged !== null || line.problem !== null).length,
    stopped: off.signal.aborted,
    units: lines,
  };
}
