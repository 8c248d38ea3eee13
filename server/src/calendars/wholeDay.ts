import type { ICalCalendar } from 'ical-generator';

const DAY_MS = 24 * 3600 * 1000;
const LONGEST_SUMMARY = 200;

/** Something that takes place on a day. */
export interface WholeDay {
  /** Stays the same, so that a calendar program knows it again. */
  readonly id: string;
  /** `2026-11-30`. */
  readonly day: string;
  readonly summary: string;
  readonly description: string;
  readonly location: string;
  readonly now: Date;
}

/** Adds a whole day to a calendar: a day without an hour is the same in every zone. What is no day is left out, so that one wrong entry does not keep the rest back. */
export function addWholeDay(
  calendar: ICalCalendar,
  { id, day, summary, description, location, now }: WholeDay,
): void {
  const start = Date.parse(`${day}T00:00:00Z`);
  if (Number.isNaN(start)) return;
  calendar.createEvent({
    id,
    start: new Date(start),
    end: new Date(start + DAY_MS),
    allDay: true,
    timezone: 'UTC',
    stamp: now,
    summary: summary.slice(0, LONGEST_SUMMARY),
    description,
    location,
  });
}
