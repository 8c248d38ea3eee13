import { factsOfUnit, goodsOf, type UnitDescription } from '../../foundation/unit/index.ts';
import { boxOf, controlConfig, type BoxChoice } from '../../machines/box/index.ts';
import { engineOf } from '../../machines/engine/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { isHeated, type SettingValues } from '../../foundation/settings/index.ts';
import { ownPlantAt, pointOf } from '../../machines/identification/index.ts';
import { tankOf } from '../../machines/tank/index.ts';
import { ownBox } from './ownBox.ts';
import type { DoorUse, Fault, FaultKind, Scenario } from '../../machines/simulation/index.ts';

const HOUR = 3600;

/** What of a unit's run may be asked otherwise. Hours. */
export interface RunChoice {
  readonly faults?: readonly Fault[];
  readonly hours?: number;
  readonly warmUpHours?: number;
  readonly doorUse?: DoorUse;
}

/**
 * The run that shows what settings will do on a unit: a box of its kind, its own ambient and door, a day after a day to settle. A sentence where
 * nothing can be run yet.
 */
export function unitScenario(
  unit: UnitDescription,
  values: SettingValues,
  { faults = [], hours = 24, warmUpHours = 24, doorUse = unit.doorUse ?? 'normal' }: RunChoice = {},
): Scenario | string {
  if (unit.application === 'condenserFans')
    return 'Condenser fans keep no box cold; their day is simulated under Fans.';
  if (unit.application === 'heatMeter')
    return 'A heat meter regulates nothing; its heat is worked out under Tools.';
  const config = controlConfig(values);
  if (typeof config === 'string') return config;
  const limits = goodsOf(unit);
  const scenario: Scenario = {
    config,
    template: unit.application,
    choice: { ...choiceOf(unit), ...heaterOf(unit, values) },
    ...(unit.application === 'chilledWaterTank' && { tank: tankOf(factsOfUnit(unit)) }),
    ...engineFor(unit, values),
    doorUse,
    faults,
    seconds: Math.round(hours * HOUR),
    warmUp: Math.round(warmUpHours * HOUR),
    startOfDay: 0,
    storage: {
      min: limits.min ? baseValue(limits.min.value) : null,
      max: limits.max ? baseValue(limits.max.value) : null,
    },
  };
  return withOwnPlant(scenario, unit);
}

/** The unit's own box in the place of the usual one, where it was learned. Its days are ordinary ones: the door evenly through the hours of business, no warm spell. */
function withOwnPlant(scenario: Scenario, { learned, doorUse = 'normal' }: UnitDescription): Scenario {
  if (!learned || !isLearnable(scenario)) return scenario;
  // It was learned against how the unit is used; a run with another use stays another.
  const asUsed = { ...scenario, doorUse };
  const own = ownPlantAt(asUsed, pointOf(asUsed, learned), { seed: null, weather: [] });
  return { ...scenario, own };
}

/** Whether a run is that of a box that is cooled: nothing else is learned from a log. */
export const isLearnable = ({ tank, engine, config }: Scenario): boolean =>
  !tank && !engine && !config.stage.heat;

/** A bottle of glycol follows the air by this, s (common practice: ten to twenty minutes). */
const BOTTLE_LAG = 900;

/** The box of a unit: what it was built to hold, how its coil is cleared, what stands around it. */
function choiceOf(unit: UnitDescription): BoxChoice {
  const inside = builtFor(unit);
  return {
    ...(inside !== null && { inside }),
    clearing: unit.defrostMethod,
    ...ownBox(unit),
    ...(unit.probePlace === 'bottle' && { probeLag: BOTTLE_LAG }),
    ...(isQuantity(unit.ambient) && { ambient: Math.min(60, Math.max(-40, baseValue(unit.ambient))) }),
  };
}

/** A second stage that heats a box that has no heater by its kind: the one that was found there. */
function heaterOf(unit: UnitDescription, values: SettingValues): BoxChoice {
  const heats = values['stage2.function'] === 'thermostat' && values['stage2.action'] === 'heat';
  return heats ? { airHeater: factsOfUnit(unit).heaterWatts } : {};
}

/** Hot gas heats with about half of what the unit cools (common practice). */
const HEATING_SHARE = 0.5;

/** The engine of a transport unit, once its run mode is set: it cools and heats towards the set point. */
function engineFor(unit: UnitDescription, values: SettingValues): Partial<Scenario> {
  if (unit.application !== 'transportUnit' || values['transport.runMode'] === undefined) return {};
  const engine = engineOf(values);
  if (typeof engine === 'string') return {};
  const choice = choiceOf(unit);
  return {
    engine,
    choice: { ...choice, airHeater: boxOf('transportUnit', choice).capacity * HEATING_SHARE },
  };
}

/** How far the middle of a box lies below the warmest its goods may stand, K: half a band and the margin above it. */
const BELOW_LIMIT = 2.5;

/** What a box of this kind was built to hold for these goods, °C; null where they say nothing. A machine is chosen by what is kept, never by what is set. */
function builtFor(unit: UnitDescription): number | null {
  const { max, min } = goodsOf(unit);
  if (!max || isHeated(unit.application)) return null;
  const middle = baseValue(max.value) - BELOW_LIMIT;
  return min ? Math.max(middle, baseValue(min.value) + 0.5) : middle;
}

/** What may be tried: a fault in words, from when to when of the simulated day, hours. */
export const whatIfs: readonly {
  readonly kind: FaultKind;
  readonly words: string;
  readonly from: number;
  readonly to: number;
  readonly amount?: number;
}[] = [
  { kind: 'airProbeOpen', words: 'air probe open from 02:00', from: 2, to: 24 },
  { kind: 'coilProbeOpen', words: 'coil probe open all day', from: 0, to: 24 },
  { kind: 'airProbeDrift', words: 'air probe reads 2 K too cold', from: 0, to: 24, amount: -2 },
  { kind: 'deadCompressor', words: 'compressor dead from 10:00', from: 10, to: 24 },
  { kind: 'deadHeater', words: 'defrost heater dead all day', from: 0, to: 24 },
  { kind: 'deadFan', words: 'evaporator fan dead from 10:00', from: 10, to: 24 },
  { kind: 'doorLeftOpen', words: 'door left open, 17:00 to 19:00', from: 17, to: 19 },
  { kind: 'dirtyCondenser', words: 'condenser dirty, 15 K hotter', from: 0, to: 24, amount: 15 },
  { kind: 'lowCharge', words: 'low charge, 60 % of capacity', from: 0, to: 24, amount: 0.6 },
  { kind: 'powerCut', words: 'power cut, 12:00 to 14:00', from: 12, to: 14 },
];

/** What may be tried on a unit: a tank has no heater in its coil, no fan and no door; what keeps warm has no coil at all. */
export function whatIfsFor({ application, defrostMethod }: UnitDescription): typeof whatIfs {
  const without: ReadonlySet<FaultKind> = new Set<FaultKind>([
    ...(application === 'chilledWaterTank'
      ? (['coilProbeOpen', 'deadHeater', 'deadFan', 'doorLeftOpen', 'dirtyCondenser'] as const)
      : []),
    ...(isHeated(application)
      ? (['coilProbeOpen', 'deadHeater', 'dirtyCondenser', 'lowCharge', 'deadCompressor'] as const)
      : []),
    ...(defrostMethod === 'electric' ? [] : (['deadHeater'] as const)),
    ...(defrostMethod === 'none' ? (['coilProbeOpen'] as const) : []),
  ]);
  return whatIfs.filter(({ kind }) => !without.has(kind));
}

/** The fault of a run; none where nothing is tried. In a longer run what lasts all day lasts all run. */
export function faultsOf(kind: FaultKind | '', hours = 24): readonly Fault[] {
  const found = whatIfs.find((w) => w.kind === kind);
  if (!found) return [];
  const to = found.to === 24 ? hours : found.to;
  return [{ kind: found.kind, from: found.from * HOUR, to: to * HOUR, amount: found.amount ?? null }];
}
