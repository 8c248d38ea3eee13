import ical from 'ical-generator';
import type { Proving } from '@brine/core/record/job';
import { addWholeDay } from './wholeDay.ts';

/** Follow-ups and calibrations due as a calendar (RFC 5545): whole days, so that no zone moves them. Done ones are left out. */
export function followUpCalendar(
  jobId: string,
  unit: string,
  site: string,
  proving: Proving,
  now: Date,
): string {
  const calendar = ical({
    name: `Brine Dial: ${unit}`,
    prodId: { company: 'Brine Dial', product: 'Follow-ups' },
  });
  const add = (id: string, day: string, what: string) =>
    addWholeDay(calendar, {
      id: `${id}@${jobId}.brine-dial`,
      day,
      summary: `${unit}: ${what}`,
      description: what,
      location: site,
      now,
    });
  for (const followUp of proving.followUps) if (!followUp.done) add(followUp.id, followUp.due, followUp.what);
  for (const c of proving.calibrations) if (c.nextDue) add(c.id, c.nextDue, `Calibrate ${c.probe} again`);
  return calendar.toString();
}
