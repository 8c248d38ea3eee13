import { endOfISOWeek, format, parseISO } from 'date-fns';
import type { Job } from '@brine/contract/routes';

/** How jobs are looked at. */
export const boards = ['mine', 'everybody', 'site', 'waiting'] as const;
export type BoardId = (typeof boards)[number];

export const boardNames: Readonly<Record<BoardId, string>> = {
  mine: 'Mine',
  everybody: 'Everybody',
  site: 'By site',
  waiting: 'Waiting',
};

/** A heading with the jobs under it. */
export interface Lane {
  readonly title: string;
  readonly jobs: readonly Job[];
}

/** Planned for a day that is over, and not finished. */
export const isLate = (job: Job, today: string): boolean => job.plannedFor !== null && job.plannedFor < today;

/** Jobs in lanes: late, today, this week, later and of no day; or by site; of one person where one is named. What waits for something stands apart from what can be done. */
export function lanesOf(
  jobs: readonly Job[],
  board: BoardId,
  today: string,
  me: string | null,
  person: string | null = null,
): readonly Lane[] {
  const chosen = jobs.filter((job) => {
    if (person !== null && job.assignedTo?.id !== person) return false;
    if (board === 'mine') return job.assignedTo?.id === me;
    return board === 'waiting' ? job.waitsFor !== '' : true;
  });
  if (board === 'site') {
    const names = [...new Set(chosen.map((job) => job.unit.siteName))].toSorted((a, b) => a.localeCompare(b));
    return names.map((title) => ({ title, jobs: chosen.filter((job) => job.unit.siteName === title) }));
  }
  const week = format(endOfISOWeek(parseISO(today)), 'yyyy-MM-dd');
  const lanes: readonly [string, (job: Job) => boolean][] = [
    ['Late', (job) => isLate(job, today)],
    ['Today', (job) => job.plannedFor === today],
    ['This week', (job) => job.plannedFor !== null && job.plannedFor > today && job.plannedFor <= week],
    ['Later', (job) => job.plannedFor !== null && job.plannedFor > week],
    ['No day yet', (job) => job.plannedFor === null],
  ];
  return lanes
    .map(([title, holds]) => ({ title, jobs: chosen.filter(holds) }))
    .filter((lane) => lane.jobs.length > 0);
}

/** One person’s load. */
export interface Load {
  readonly id: string;
  readonly name: string;
  readonly jobs: number;
  readonly late: number;
}

/** Who has how much, most first. */
export const loadsOf = (
  jobs: readonly Job[],
  people: readonly { readonly id: string; readonly name: string }[],
  today: string,
): readonly Load[] =>
  people
    .map(({ id, name }) => {
      const own = jobs.filter((job) => job.assignedTo?.id === id);
      return { id, name, jobs: own.length, late: own.filter((job) => isLate(job, today)).length };
    })
    .toSorted((a, b) => b.jobs - a.jobs || a.name.localeCompare(b.name));
