import type { Means } from '../http/context.ts';
import { loggedError } from '../http/loggedError.ts';
import { materialOf } from '../jobs/jobMaterial.ts';
import { sideBySide } from '../work/sideBySide.ts';

/** How often each server looks for jobs that went on since they were summarised. */
const LOOK_MS = 700;
/** Jobs that one round takes: chosen by chance among those that wait, so that several servers seldom take the same. */
const ROUND = 8;
const SIDE_BY_SIDE = 2;

/** Keeps the summary of each job up with its stream, in threads. Two servers on one job do its work twice, and write the same. */
export function startSummaries(means: Means): { close(): Promise<void> } {
  const ending = new AbortController();
  let round: Promise<void> = Promise.resolve();
  const timer = setTimeout(function look() {
    round = summariseWaiting(means, ending.signal)
      .catch((error: unknown) => means.log.debug({ err: loggedError(error) }, 'summaries'))
      .then(() => {
        if (!ending.signal.aborted) setTimeout(look, LOOK_MS).unref();
      });
  }, LOOK_MS);
  timer.unref();
  return {
    async close() {
      ending.abort();
      clearTimeout(timer);
      await round;
    },
  };
}

/** Summarises jobs that went on, one round. */
export async function summariseWaiting(means: Means, signal?: AbortSignal): Promise<void> {
  const { database } = means;
  const waiting = await database.transaction((repositories) => repositories.jobs.toSummarise(ROUND));
  await sideBySide(SIDE_BY_SIDE, waiting, signal ?? new AbortController().signal, async ({ id, unitId }) => {
    const { material, sequence, leftBefore } = await database.transaction(async (repositories) => {
      const [job, unit] = [await repositories.jobs.byId(id), await repositories.units.byId(unitId)];
      return {
        sequence: job!.lastSequence,
        material: await materialOf(repositories, id, unit!.name),
        leftBefore: await repositories.entries.leftBy(unitId, id),
      };
    });
    const summary = await means.threads
      .run('summariseJob', { material, jobId: id, leftBefore }, signal)
      .catch((error: unknown) => {
        if (signal?.aborted) throw error;
        // It stays as it was told last, and is tried again after its next entry.
        means.log.warn({ job: id, err: loggedError(error) }, 'a job could not be summarised');
        return undefined;
      });
    await database.transaction((repositories) => repositories.jobs.keepSummary(id, sequence, summary));
  });
}
