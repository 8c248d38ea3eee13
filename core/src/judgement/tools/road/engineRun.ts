import { SECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
import { engineAtRest, tickEngine, type EngineConfig } from '../../../machines/engine/index.ts';
import {
  boxOf,
  driveAtRest,
  humidityRatio,
  BoxFlows,
  restingBox,
  stepBox,
  boxWork,
  templates,
  type BoxChoice,
} from '../../../machines/box/index.ts';
import { doorOf, type DoorUse } from '../../../machines/simulation/index.ts';

/** What a run mode does with a loaded body over a day’s round. °C, hours. */
export interface EngineRun {
  readonly engineHours: number;
  readonly starts: number;
  readonly air: { readonly min: number; readonly mean: number; readonly max: number };
  readonly product: { readonly min: number; readonly max: number };
  /** Hours with the fan off: the air stands, what breathes warms itself. */
  readonly stillHours: number;
}

/** Hot gas heats with about half of what the unit cools (common practice). */
const HEATING_SHARE = 0.5;
const OPENS = 6 * 3600;

/** The engine's machine on the box of a transport body, from six in the morning, loaded at set point. */
export function engineRun(config: EngineConfig, choice: BoxChoice, doors: DoorUse, hours: number): EngineRun {
  const t = templates.transportUnit;
  const plain = boxOf('transportUnit', choice);
  const box = { ...plain, airHeaterWatts: plain.capacity * HEATING_SHARE };
  const outdoor = choice.ambient ?? t.ambient;
  const state = restingBox(config.setpoint);
  const drive = driveAtRest(outdoor, humidityRatio(outdoor, choice.humidity ?? t.humidity));
  const flows = new BoxFlows();
  const work = boxWork();
  const engine = engineAtRest(config.setpoint);
  const door = doorOf('transportUnit', doors);
  let [running, still, starts, sum] = [0, 0, 0, 0];
  let air = { min: Infinity, max: -Infinity };
  let product = { min: Infinity, max: -Infinity };
  const seconds = Math.round(hours * 3600);
  for (let second = 0; second < seconds; second += 1) {
    tickEngine(config, engine, { air: state.probe, commands: [] }, (e) => {
      if (e.kind === 'engine' && e.value === true) starts += 1;
    });
    drive.compressor = engine.action === 'cool';
    drive.airHeater = engine.action === 'heat';
    drive.fan = engine.engine;
    drive.doorOpen = door((OPENS + second) % SECONDS_PER_DAY);
    stepBox(box, state, drive, 1, flows, work);
    if (engine.engine) running += 1;
    else still += 1;
    sum += state.air;
    air = { min: Math.min(air.min, state.air), max: Math.max(air.max, state.air) };
    product = {
      min: Math.min(product.min, state.productFast),
      max: Math.max(product.max, state.productFast),
    };
  }
  return {
    engineHours: running / 3600,
    stillHours: still / 3600,
    starts,
    air: { ...air, mean: sum / seconds },
    product,
  };
}
