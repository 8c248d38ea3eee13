import type { GoalId } from '@brine/core/judgement/tuning';
import type { Repositories } from '../database/database.ts';
import { programOfJob } from '../jobs/program.service.ts';
import { viewsOf } from '../units/units.service.ts';
import type { UnitToReview } from './unitReview.ts';

/** A unit that can be judged, by its newest job with a plan. */
export interface PlannedUnit {
  readonly jobId: string;
  readonly name: string;
  readonly site: string;
  readonly toReview: UnitToReview;
}

const MOST_JOBS = 500;

/** Every unit with a plan: of its jobs that are not archived the newest one. */
export async function unitsWithPlan(
  repositories: Repositories,
  goal: GoalId | null,
): Promise<readonly PlannedUnit[]> {
  const found = new Map<string, PlannedUnit>();
  for (const job of await repositories.jobs.search('', null, false, MOST_JOBS)) {
    const unit = found.has(job.unitId) ? null : await repositories.units.byId(job.unitId);
    if (!unit) continue;
    const { program } = await programOfJob(repositories, job.id, unit.name);
    if (!program.unit) continue;
    const [view] = await viewsOf(repositories, [unit]);
    found.set(job.unitId, {
      jobId: job.id,
      name: [unit.tag, unit.name].filter(Boolean).join(' '),
      site: view!.siteName,
      toReview: {
        unit: program.unit,
        values: program.inForce,
        display: program.unit.displayUnit === 'fahrenheit' ? 'degF' : 'degC',
        goal,
      },
    });
  }
  return [...found.values()];
}
