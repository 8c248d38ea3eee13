import { CLOSES, openHoursPerDay, OPENS, templates, useFactors } from '../box/index.ts';
import type { DoorHabit, Scenario } from '../simulation/index.ts';

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
