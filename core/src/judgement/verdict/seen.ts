import type { UnitDescription } from '../../foundation/unit/index.ts';
import { bandOf } from '../../machines/box/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import { written, writtenDifference } from '../../foundation/regulation/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { runCondenser } from '../../machines/condenser/index.ts';
import { simulate, type PlantKind, type Scenario, type Simulated } from '../../machines/simulation/index.ts';
import type { Finding } from '../checks/index.ts';
import { condenserChecks, type CondenserSeen } from './condenserChecks.ts';
import { dayChecks, type Seen } from './dayChecks.ts';
import type { UnitDay } from './unitDay.ts';

/** What was seen of a unit's day: what its checks look at. */
export type SeenDay =
  | { readonly machine: PlantKind; readonly seen: Seen }
  | { readonly machine: 'condenser'; readonly seen: CondenserSeen };

/** Runs a day and keeps what its checks look at. `stride`: seconds a box goes at a time; 1 wherever a figure of it is shown. */
export function lookAt(
  unit: UnitDescription,
  values: SettingValues,
  day: UnitDay,
  display: TemperatureUnit,
  stride = 1,
): SeenDay {
  if (day.machine === 'condenser')
    return {
      machine: 'condenser',
      seen: { values, day: runCondenser(day.run)!, show: (celsius) => written(celsius, display) },
    };
  const simulated = simulate(day.scenario, { stride })!;
  return { machine: day.machine, seen: seenOf(unit, values, day.scenario, simulated, display) };
}

/** What the checks of a box look at, from a run that was made of it. */
export const seenOf = (
  unit: UnitDescription,
  values: SettingValues,
  scenario: Scenario,
  day: Simulated,
  display: TemperatureUnit,
): Seen => ({
  values,
  unit,
  day,
  band: bandOf(scenario.config.stage, scenario.config.setpoint),
  limits: scenario.storage,
  tank: scenario.tank ?? null,
  show: (celsius) => written(celsius, display),
  showDifference: (kelvins) => writtenDifference(kelvins, display),
});

/** A check bound to what it looks at: what it finds, and what may be tried against it. */
export interface BoundCheck {
  readonly code: string;
  readonly found: Omit<Finding, 'code'> | null;
  readonly changes: (values: SettingValues) => readonly SettingValues[];
}

/** Every check of this machine on what was seen. */
export const boundChecks = (day: SeenDay): readonly BoundCheck[] =>
  day.machine === 'condenser'
    ? condenserChecks.map(({ code, find, changes }) => ({ code, changes, found: find(day.seen) }))
    : dayChecks
        .filter((one) => one.machines.includes(day.machine))
        .map(({ code, find, changes }) => ({ code, changes, found: find(day.seen) }));
