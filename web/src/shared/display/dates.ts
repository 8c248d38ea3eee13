import { localDate } from './localTime.ts';

/** The day so many days from now on this device's calendar, `2026-12-03`. */
export function inDays(days: number, from: Date = new Date()): string {
  const at = new Date(from);
  at.setDate(at.getDate() + days);
  return localDate(at.toISOString());
}

/** The day so many months from now; the last day of a month that is shorter. */
export function inMonths(months: number, from: Date = new Date()): string {
  const at = new Date(from.getFullYear(), from.getMonth() + months, 1);
  const last = new Date(at.getFullYear(), at.getMonth() + 1, 0).getDate();
  at.setDate(Math.min(from.getDate(), last));
  return localDate(at.toISOString());
}
