import ical from 'ical-generator';
import type { Proving } from '@brine/core/record/job';

/** Follow-ups and calibrations due as a calendar (RFC 5545): whole days, so that no zone moves them. Done ones are left out. */
export function calendarOf(jobId: string, unit: string, site: string, proving: Proving, now: Date): string {
  const calendar = ical({
    name: `Brine Dial: ${unit}`,
    prodId: { company: 'Brine Dial', product: 'Follow-ups' },
  });
  const add = (id: string, due: string, what: string) => {
    // An older stream may hold what is no day: it must not keep the rest from being exported.
    if (Number.isNaN(Date.parse(`${due}T00:00:00Z`))) return;
    calendar.createEvent({
      id: `${id}@${jobId}.brine-dial`,
      start: new Date(`${due}T00:00:00Z`),
      end: new Date(Date.parse(`${due}T00:00:00Z`) + 86_400_000),
      allDay: true,
      timezone: 'UTC',
      stamp: now,
      summary: `${unit}: ${what}`.slice(0, 200),
      description: what,
      location: site,
    });
  };
  for (const followUp of proving.followUps) if (!followUp.done) add(followUp.id, followUp.due, followUp.what);
  for (const c of proving.calibrations) if (c.nextDue) add(c.id, c.nextDue, `Calibrate ${c.probe} again`);
  return calendar.toString();
}
