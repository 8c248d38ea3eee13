import { kept, type KeptJob } from './keptStorage.ts';

/** Jobs opened last that stay on the device without a mark. */
const LATELY = 8;

/** The jobs that stay: those with a mark, those that are theirs to go to, and those opened lately. Anything else may go. */
export function jobsToKeep(jobs: readonly KeptJob[]): readonly KeptJob[] {
  const lately = jobs
    .filter((job) => job.openedAt !== null)
    .toSorted((a, b) => b.openedAt!.localeCompare(a.openedAt!))
    .slice(0, LATELY);
  return jobs.filter((job) => job.marked || job.assigned || lately.includes(job));
}

/** Notes that a person opened a job here. */
export const noteOpened = (person: string, job: string): Promise<void> =>
  kept().noteJob(person, job, { openedAt: new Date().toISOString() });

/** Notes which unfinished jobs are theirs to go to, by the board; those that are no longer go with the next round. */
export async function noteAssigned(person: string, theirs: ReadonlySet<string>): Promise<void> {
  const known = await kept().jobs(person);
  for (const { job, assigned } of known)
    if (assigned && !theirs.has(job)) await kept().noteJob(person, job, { assigned: false });
  const there = new Set(known.filter(({ assigned }) => assigned).map(({ job }) => job));
  for (const job of theirs) if (!there.has(job)) await kept().noteJob(person, job, { assigned: true });
}
