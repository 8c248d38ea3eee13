/** What a battery has to give, Ah. `usable`: percent of it (a lead battery half, common practice; a lithium one more). */
export interface Battery {
  readonly ampHours: number;
  readonly usable: number;
  /** Ah that come in a day: sun, engine, shore. */
  readonly chargePerDay: number;
}

/** Days a full battery lasts under so many Ah a day; Infinity where the charge covers them. */
export function batteryDays(battery: Battery, ampHoursPerDay: number): number {
  const drawn = ampHoursPerDay - battery.chargePerDay;
  return drawn <= 0 ? Infinity : (battery.ampHours * battery.usable) / 100 / drawn;
}
