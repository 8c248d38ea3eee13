import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { templates, type TemplateId } from '../box/index.ts';

/** How a door is used, in the words of a unit's description (and never opened): how often against the template's normal day. */
export const doorUses = { shut: 0, seldom: 0.5, normal: 1, busy: 1.6 } as const;
export type DoorUse = keyof typeof doorUses;

const OPENS = 7 * 3600;
const CLOSES = 19 * 3600;

/**
 * A day's door: openings spread evenly over business hours, twice as dense around deliveries at 8 and 16. The same every day, so that two runs differ
 * by their settings alone. Returns a test for a second of the day.
 */
export function doorOf(id: TemplateId, use: DoorUse): (secondOfDay: number) => boolean {
  const { openings, openSeconds } = templates[id];
  const perHour = openings * doorUses[use];
  if (perHour <= 0) return () => false;
  const starts: number[] = [];
  for (let at = OPENS; at < CLOSES;) {
    starts.push(Math.round(at));
    const hour = at / 3600;
    const dense = (hour >= 8 && hour < 9) || (hour >= 16 && hour < 17);
    at += 3600 / (perHour * (dense ? 2 : 1));
  }
  const open = new Uint8Array(SECONDS_PER_DAY);
  for (const start of starts) open.fill(1, start, Math.min(start + openSeconds, SECONDS_PER_DAY));
  return (second) => open[second] === 1;
}
