import { factsOfUnit, type Facts, type UnitDescription } from '../../foundation/unit/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import {
  condenserPlant,
  fansInForce,
  type CondenserChoice,
  type CondenserRun,
  type OutdoorDay,
} from '../../machines/condenser/index.ts';
import { plantKindOf, type PlantKind, type Scenario } from '../../machines/simulation/index.ts';
import { unitScenario, type RunChoice } from '../tuning/index.ts';

/** The day of a unit, by the machine that it is: a box (a heated cabinet and a plate fridge too), a tank of water, a transport engine on its body, a condenser. */
export type UnitDay =
  | { readonly machine: PlantKind; readonly scenario: Scenario }
  | { readonly machine: 'condenser'; readonly run: CondenserRun };

/** The run that shows what settings do on this unit, with its own plant. A sentence where nothing can be run. */
export function unitDay(
  unit: UnitDescription,
  values: SettingValues,
  choice: RunChoice = {},
): UnitDay | string {
  if (unit.application === 'condenserFans') {
    const run = condenserDay(unit, values);
    return run ? { machine: 'condenser', run } : 'No set point for the condenser fans is known yet.';
  }
  const scenario = unitScenario(unit, values, choice);
  if (typeof scenario === 'string') return scenario;
  return { machine: plantKindOf(scenario), scenario };
}

/** The condenser that facts describe. */
export const condenserChoice = (facts: Facts, refrigerant: string): CondenserChoice => ({
  kilowatts: facts.condenserKilowatts,
  compressors: facts.condenserCompressors,
  fans: facts.condenserFans,
  fanWatts: facts.condenserFanWatts,
  evaporating: facts.condenserEvaporating,
  refrigerant,
  dirty: facts.condenserDirty > 0,
});

/** Hours in which a condenser comes to its own day. */
const WARM_UP_H = 2;

/** A day of a unit's condenser as its facts and its control say it; null while no control is set that runs its fans. */
export function condenserDay(unit: UnitDescription, values: SettingValues): CondenserRun | null {
  const config = fansInForce(values);
  const facts = factsOfUnit(unit);
  return (
    config && {
      config,
      plant: condenserPlant(condenserChoice(facts, unit.refrigerant ?? '')),
      outdoor: outdoorOf(facts),
      hours: 24,
      warmUpHours: WARM_UP_H,
    }
  );
}

/** The air outdoors over the day, whichever end was stated as which. */
const outdoorOf = (facts: Facts): OutdoorDay => ({
  low: Math.min(facts.outdoorLow, facts.outdoorHigh),
  high: Math.max(facts.outdoorLow, facts.outdoorHigh),
});
