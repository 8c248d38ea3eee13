import { differenceInCalendarDays, format, parseISO } from 'date-fns';

/** How far off a day is, in words: late by so many days, today, tomorrow, in so many days; the weekday within a week. */
export function dayWords(day: string, today: string): string {
  const days = differenceInCalendarDays(parseISO(day), parseISO(today));
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'since yesterday';
  if (days < 0) return `${-days} days late`;
  return days < 7 ? format(parseISO(day), 'EEEE') : format(parseISO(day), 'd MMMM');
}

/** “Tuesday 24 November”. */
export const longDay = (day: string): string => format(parseISO(day), 'EEEE d MMMM');
