import type { UnitJudged } from '@brine/contract/routes';
import type { GoalId } from '@brine/core/judgement/tuning';
import type { Means } from '../http/context.ts';
import { asAppError } from '../http/errors.ts';
import { loggedError } from '../http/loggedError.ts';
import { materialOf } from '../jobs/jobMaterial.ts';
import { BACKGROUND_THREADS } from '../threads/threads.ts';
import { NotOurs, type WorkUnderWay } from '../work/kind.ts';
import { sideBySide } from '../work/sideBySide.ts';
import type { LineToCome } from './review.repository.ts';

/** What a review is about. */
export interface ReviewSubject {
  /** What each unit is tuned for besides; null: only judged. */
  readonly goal: GoalId | null;
}

/** What became of one unit. */
interface Outcome {
  readonly jobId: string | null;
  readonly noPlan: boolean;
  readonly judged: UnitJudged | null;
  readonly problem: string | null;
}

/** Judges every unit in use by its newest job that has a plan, one in the archive where there is no other, in threads, several at a time. Each stands in the database as soon as it is through. */
export async function reviewUnits(means: Means, work: WorkUnderWay): Promise<void> {
  const { database } = means;
  const { goal } = work.subject as ReviewSubject;
  const lines = await database.transaction(async (repositories) => {
    const total = await repositories.reviews.begin(work.id);
    const toCome = await repositories.reviews.toCome(work.id);
    if (!(await repositories.work.progress(work.id, work.runner, total - toCome.length, total)))
      throw new NotOurs();
    return toCome;
  });
  await sideBySide(BACKGROUND_THREADS, lines, work.signal, async ({ position, unitId }) => {
    const outcome = await outcomeOf(means, work, unitId, goal);
    await database.transaction(async (repositories) => {
      // The row of the work is locked from here on, so that units come through one after the other.
      const nth = await repositories.work.count(work.id, work.runner);
      if (nth === null || !(await repositories.reviews.through(work.id, position, { ...outcome, nth })))
        throw new NotOurs();
    });
  });
}

/** One unit that cannot be judged is told as such; the others go on. */
async function outcomeOf(
  means: Means,
  work: WorkUnderWay,
  unitId: LineToCome['unitId'],
  goal: GoalId | null,
): Promise<Outcome> {
  const { database, threads, log } = means;
  const jobs = await database.transaction((repositories) => repositories.jobs.idsOfUnit(unitId));
  for (const jobId of jobs) {
    const material = await database.transaction(async (repositories) => {
      const unit = await repositories.units.byId(unitId);
      return materialOf(repositories, jobId, unit!.name);
    });
    try {
      const judged = await threads.run('reviewJob', { material, goal }, work.signal);
      if (judged) return { jobId, noPlan: false, judged, problem: null };
    } catch (error) {
      if (work.signal.aborted) throw error;
      log.warn({ job: jobId, err: loggedError(error) }, 'a unit could not be judged');
      const { code, message } = asAppError(error);
      const why = code === 'internal' ? 'this job could not be judged; the server’s log says why' : message;
      return { jobId, noPlan: false, judged: null, problem: why };
    }
  }
  return { jobId: null, noPlan: true, judged: null, problem: null };
}
