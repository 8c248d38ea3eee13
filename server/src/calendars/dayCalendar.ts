import ical from 'ical-generator';
import type { Job } from '@brine/contract/routes';
import type { Site } from '../sites/site.entity.ts';
import { unitName } from '../units/unitName.ts';
import { addWholeDay } from './wholeDay.ts';

/** What somebody's calendar is made of. */
export interface DayCalendarInput {
  readonly person: string;
  /** Jobs with a day on which they go there. */
  readonly planned: readonly Job[];
  /** Finished jobs of theirs of which something is due. */
  readonly due: readonly Job[];
  readonly siteById: ReadonlyMap<string, Pick<Site, 'place' | 'contact' | 'phone'>>;
  /** Links in it begin with this. */
  readonly address: string;
  readonly now: Date;
}

/** The planned jobs of a person and what they come back for, as a calendar (RFC 5545) of whole days. */
export function dayCalendar({ person, planned, due, siteById, address, now }: DayCalendarInput): string {
  const calendar = ical({
    name: `Brine Dial: ${person}`,
    prodId: { company: 'Brine Dial', product: 'Planned jobs' },
    ttl: 3600,
  });
  const unitOf = (job: Job) => unitName(job.unit);
  const add = (job: Job, id: string, day: string, what: string, lines: readonly string[]) => {
    const site = siteById.get(job.unit.siteId);
    addWholeDay(calendar, {
      id: `${id}.${job.id}.brine-dial`,
      day,
      summary: `${unitOf(job)}: ${what}`,
      description: [
        ...lines,
        [site?.contact, site?.phone].filter(Boolean).join(', '),
        `${address}/jobs/${job.id}`,
      ]
        .filter(Boolean)
        .join('\n'),
      location: [job.unit.siteName, site?.place].filter(Boolean).join(', '),
      now,
    });
  };
  for (const job of planned)
    if (job.plannedFor)
      add(job, 'job', job.plannedFor, job.title, [
        ...(job.waitsFor ? [`Waits for ${job.waitsFor}`] : []),
        ...(job.summary?.complaint ? [job.summary.complaint] : []),
      ]);
  for (const job of due) {
    const { followUp, calibrationDue } = job.summary!;
    if (followUp) add(job, 'back', followUp.due, followUp.what, []);
    if (calibrationDue) add(job, 'calibrate', calibrationDue, 'Calibrate the probe again', []);
  }
  return calendar.toString();
}
