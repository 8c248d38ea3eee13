import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { Figures } from '../../machines/simulation/index.ts';

/** Volts of a battery fridge, where the survey says nothing. */
const BATTERY_VOLTS = 12;

/** True where energy comes from a battery: then amp hours count instead of kilowatt hours. */
const onBattery = (unit: UnitDescription): boolean =>
  unit.supply?.kind === 'dc' || unit.application === 'vehicleFridge';

/** What a unit takes a day, in the measure its owner counts in. */
export function energyOf(unit: UnitDescription, { kWhPerDay }: Pick<Figures, 'kWhPerDay'>): number {
  return onBattery(unit) ? (kWhPerDay * 1000) / (unit.supply?.volts ?? BATTERY_VOLTS) : kWhPerDay;
}

/** That measure: “Ah a day” or “kWh a day”. */
export const energyUnit = (unit: UnitDescription): string => (onBattery(unit) ? 'Ah a day' : 'kWh a day');
