import type { Review, Work } from '@brine/contract/routes';
import { predictionScore, type PredictionScore } from '@brine/core/record/history';
import { goals, type GoalId } from '@brine/core/judgement/tuning';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { askFor, viewWith } from '../work/work.service.ts';
import type { ReviewSubject } from './review.work.ts';

/** Units told at one look: some hundreds of kilobytes. */
const LINES_AT_ONCE = 200;

/** Begins a review of every unit in use. Answers at once; any server goes on with it. */
export function startReview(services: Services, person: SignedIn, goal: GoalId | null): Promise<Work> {
  const title =
    goal === null
      ? 'Review of every unit'
      : `Review of every unit, tuned for ${goals[goal].name.toLowerCase()}`;
  return askFor(services, person, 'review', title, { goal } satisfies ReviewSubject);
}

/** How far a review is, and the units that came through after the nth. Anybody signed in may read it: it says what every job says. */
export function readReview(services: Services, person: SignedIn, id: string, after: number): Promise<Review> {
  return services.database.transaction(async (repositories) => {
    const work = await repositories.work.byId(id);
    if (!work || work.kind !== 'review')
      throw new AppError('notFound', 'This review is no longer there; begin it again');
    const lines = await repositories.reviews.after(id, after, LINES_AT_ONCE);
    return {
      work: await viewWith(repositories, work, person),
      goal: (work.subject as ReviewSubject).goal,
      after: lines.at(-1)?.nth ?? after,
      units: lines.map(({ nth: _, ...line }) => line),
    };
  });
}

/** How the predictions of all units came true so far. */
export async function readPredictions(services: Services): Promise<PredictionScore> {
  const held = await services.database.transaction(({ entries }) => entries.held());
  return predictionScore(held);
}
