import { kept, type KeptJob } from './keptStorage.ts';

/** Jobs opened last that stay on the device without a mark. */
const LATELY = 8;

/** The jobs that stay: those with a mark, and those opened lately. Anything else may go. */
export function jobsToKeep(jobs: readonly KeptJob[]): readonly KeptJob[] {
  const lately = jobs
    .filter((job) => job.openedAt !== null)
    .toSorted((a, b) => b.openedAt!.localeCompare(a.openedAt!))
    .slice(0, LATELY);
  return jobs.filter((job) => job.marked || lately.includes(job));
}

/** Notes that a person opened a job here. */
export const noteOpened = (person: string, job: string): Promise<void> =>
  kept().noteJob(person, job, { openedAt: new Date().toISOString() });
