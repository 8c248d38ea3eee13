import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import {
  CLOSES,
  deliveryHours,
  openHoursPerDay,
  OPENS,
  templates,
  useFactors,
  type DoorUse,
  type TemplateId,
} from '../box/index.ts';
import { doorOfHabit, type DoorHabit } from './doorHabit.ts';
import type { Scenario } from './scenario.ts';

/** The door of a scenario on one of its days: by its own habit where it has a box of its own, else as the kind is used. */
export function doorOfScenario(scenario: Scenario, day: number): (secondOfDay: number) => boolean {
  const { own, template, doorUse } = scenario;
  if (!own) return doorOf(template, doorUse);
  const usual = usualDoor(scenario);
  return doorOfHabit({ ...usual, perHour: usual.perHour * own.door.times, seed: own.door.seed }, day);
}

/** How the door of a kind is usually opened, spread evenly over the business day. */
export function usualDoor({ template, doorUse }: Scenario): DoorHabit {
  const { openings, openSeconds } = templates[template];
  const hours = (CLOSES - OPENS) / 3600;
  return {
    perHour: (openings * useFactors[doorUse] * openHoursPerDay) / hours,
    seconds: openSeconds,
    opens: OPENS,
    closes: CLOSES,
    seed: null,
  };
}

/**
 * A day's door: openings spread evenly over business hours, twice as dense around deliveries at 8 and 16. The same every day, so that two runs differ
 * by their settings alone. Returns a test for a second of the day.
 */
export function doorOf(id: TemplateId, use: DoorUse): (secondOfDay: number) => boolean {
  const { openings, openSeconds } = templates[id];
  const perHour = openings * useFactors[use];
  if (perHour <= 0) return () => false;
  const starts: number[] = [];
  for (let at = OPENS; at < CLOSES;) {
    starts.push(Math.round(at));
    const dense = deliveryHours.includes(Math.floor(at / 3600));
    at += 3600 / (perHour * (dense ? 2 : 1));
  }
  const open = new Uint8Array(SECONDS_PER_DAY);
  for (const start of starts) open.fill(1, start, Math.min(start + openSeconds, SECONDS_PER_DAY));
  return (second) => open[second] === 1;
}
