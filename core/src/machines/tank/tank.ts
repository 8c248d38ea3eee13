import { SECONDS_PER_DAY, JOULES_PER_KWH } from '../../foundation/limits/index.ts';
import {
  controlConfig,
  powerUp,
  tick,
  type ControlConfig,
  type ControlEvent,
  type ControlInputs,
} from '../box/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { freezingPoint, waterHeat } from './seaWater.ts';

/** Cold surface to stirred water, W/(m²·K); a still tank has a third of it. From memory (free to forced convection in water). */
const STIRRED = 450;
/** A probe in a sealed pocket follows the water with this lag, s. */
const POCKET_LAG = 90;
/** Area of a tank's walls and lid from its volume: a box two to one to one. */
const areaOf = (litres: number) => 10 * (litres / 2000) ** (2 / 3);

/** What is measured of a tank: litres, g/kg, W/m²K, W, W, W, m², °C. */
export interface TankFacts {
  readonly waterLitres: number;
  readonly salinity: number;
  readonly tankInsulation: number;
  readonly chillerWatts: number;
  readonly heaterWatts: number;
  readonly pumpWatts: number;
  readonly chillerArea: number;
  readonly roomAir: number;
}

/** A tank of water with a drop-in chiller and a heater. W, W/K, J/K, °C. */
export interface Tank {
  readonly heat: number;
  readonly conductance: number;
  readonly chiller: number;
  readonly heater: number;
  readonly pump: number;
  readonly air: number;
  readonly freezing: number;
  /** How much colder than the water the chiller's surface is while it runs, K. */
  readonly surfaceBelow: number;
}

/** The tank that the facts describe. */
export function tankOf(f: TankFacts): Tank {
  return {
    heat: waterHeat(f.waterLitres, f.salinity),
    conductance: f.tankInsulation * areaOf(f.waterLitres),
    chiller: f.chillerWatts,
    heater: f.heaterWatts,
    pump: f.pumpWatts,
    air: f.roomAir,
    freezing: freezingPoint(f.salinity),
    surfaceBelow: f.chillerWatts / (STIRRED * f.chillerArea),
  };
}

/** Where the water would end, °C, with so much heat going in, W (cooling is negative). */
export const endsAt = (tank: Tank, watts: number): number =>
  tank.air + (tank.pump + watts) / tank.conductance;

/** Seconds from one temperature to another with so much heat going in; Infinity where it never gets there. Closed form of a lump. */
export function secondsBetween(tank: Tank, from: number, to: number, watts: number): number {
  const end = endsAt(tank, watts);
  const ratio = (from - end) / (to - end);
  return ratio >= 1 ? (tank.heat / tank.conductance) * Math.log(ratio) : Infinity;
}

/** What a run of the control on the tank comes to. */
export interface TankRun {
  readonly water: { readonly min: number; readonly mean: number; readonly max: number };
  readonly starts: number;
  readonly chillerHours: number;
  readonly heaterHours: number;
  /** Times the heater began within an hour after the chiller, or the other way: the two fight. */
  readonly turnovers: number;
  readonly alarms: number;
  readonly kWh: number;
}

/** Warm or cold water poured in: litres of so many °C at a second. */
export interface Pour {
  readonly at: number;
  readonly litres: number;
  readonly celsius: number;
}

/** Runs the control on the tank, a second a step, from its set point on. A sentence where nothing can be regulated. */
export function runTank(
  tank: Tank,
  facts: TankFacts,
  values: SettingValues,
  hours: number,
  pours: readonly Pour[] = [],
): TankRun | string {
  const config = controlConfig(values);
  return typeof config === 'string' ? config : run(tank, facts, config, hours, pours);
}

function run(
  tank: Tank,
  facts: TankFacts,
  config: ControlConfig,
  hours: number,
  pours: readonly Pour[],
): TankRun {
  const state = powerUp(config.setpoint);
  let water = config.setpoint + 0.5;
  let probe = water;
  let [min, max, sum] = [Infinity, -Infinity, 0];
  let [starts, chilled, heated, alarms, turnovers] = [0, 0, 0, 0, 0];
  let [lastCooled, lastHeated, before] = [-Infinity, -Infinity, ''];
  const emit = (event: ControlEvent) => {
    if (event.kind === 'compressor' && event.value === true) starts += 1;
    if (event.kind === 'alarmCause' && event.value === true) alarms += 1;
  };
  const inputs = {
    air: probe,
    coil: null,
    coil2: null,
    doorOpen: false,
    alarmInput: false,
    timeOfDay: 0,
    commands: [],
  } as ControlInputs;
  const seconds = Math.round(hours * 3600);
  const lag = 1 - Math.exp(-1 / POCKET_LAG);
  for (let t = 0; t < seconds; t += 1) {
    inputs.air = probe;
    inputs.timeOfDay = t % SECONDS_PER_DAY;
    tick(config, state, inputs, emit);
    const first = state.out.compressor;
    const second = state.out.stage2 && config.stage2.function === 'thermostat';
    const cools = (first && !config.stage.heat) || (second && !config.stage2.heat);
    const heats = (first && config.stage.heat) || (second && config.stage2.heat);
    const end = endsAt(tank, (heats ? tank.heater : 0) - (cools ? tank.chiller : 0));
    water = end + (water - end) * Math.exp(-tank.conductance / tank.heat);
    for (const pour of pours)
      if (pour.at === t) {
        const share = pour.litres / facts.waterLitres;
        water = (water + share * pour.celsius) / (1 + share);
      }
    probe += (water - probe) * lag;
    if (water < min) min = water;
    if (water > max) max = water;
    sum += water;
    const now = cools ? 'cool' : heats ? 'heat' : '';
    if (now === 'cool' && before !== 'cool' && t - lastHeated < 3600) turnovers += 1;
    if (now === 'heat' && before !== 'heat' && t - lastCooled < 3600) turnovers += 1;
    before = now;
    if (cools) [chilled, lastCooled] = [chilled + 1, t];
    if (heats) [heated, lastHeated] = [heated + 1, t];
  }
  return {
    water: { min, mean: sum / seconds, max },
    starts,
    chillerHours: chilled / 3600,
    heaterHours: heated / 3600,
    turnovers,
    alarms,
    // What a small chiller draws: a third of what it takes out (common practice).
    kWh:
      (((chilled / 3) * tank.chiller + heated * tank.heater + seconds * tank.pump) / JOULES_PER_KWH) *
      (24 / hours),
  };
}
