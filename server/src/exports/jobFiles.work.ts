import type { Means } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { archive, asFileName } from '../work/archive.ts';
import type { WorkUnderWay } from '../work/kind.ts';
import { jobFileOf } from './exports.service.ts';

/** Writes every job with its history as `*.brine.json`, and packs them. */
export async function writeJobFiles(means: Means, work: WorkUnderWay): Promise<void> {
  const jobs = await means.database.transaction((repositories) => repositories.jobs.allNamed());
  const made = await archive(
    means,
    work,
    jobs,
    async ({ id, name }) => ({
      name: `${asFileName(name)}.brine.json`,
      content: await jobFileOf(means, id, work.signal),
    }),
    'jobs.zip',
  );
  if (made === 0) throw new AppError('badInput', 'There is no job yet');
}
