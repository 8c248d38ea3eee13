/** A cooling period and a defrost period in turn, min. */
export interface PeriodCycle {
  readonly cooling: number;
  readonly defrost: number;
}

/** Minutes from one defrost to the next: periods in turn add up, an interval between starts does not. */
export const cycleMinutes = ({ cooling, defrost }: PeriodCycle): number => cooling + defrost;
/** How many a day. */
export const cyclesPerDay = (cycle: PeriodCycle): number => 1440 / cycleMinutes(cycle);

/** The cooling period that gives as many defrosts a day as an interval between starts, min; 0 where the defrost fills it. */
export const coolingForInterval = (interval: number, defrost: number): number =>
  Math.max(0, interval - defrost);

/** When the defrosts of a day begin if the first does at a minute of the day; they wander unless the cycle divides the day. */
export function startsOfDay(cycle: PeriodCycle, first: number): readonly number[] {
  const starts: number[] = [];
  for (let at = first; at < 1440; at += cycleMinutes(cycle)) starts.push(at);
  return starts;
}
