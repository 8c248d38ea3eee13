import { EPSILON } from '../../../foundation/limits/index.ts';
import { shareToCutOut } from '../../../foundation/regulation/index.ts';
import type { ControlConfig } from './config.ts';
import { actingSetpoint } from './demand.ts';
import type { ControlInputs, ControlState } from './state.ts';

const AIR_ABOVE = 0;
const AIR_BELOW = 1;
const COIL_ABOVE = 2;
const COIL_BELOW = 3;

/** For how many seconds a control would do nothing, as long as its readings stay between these bounds (°C, as the inputs give them). */
export interface Quiet {
  seconds: number;
  readonly bounds: Float64Array;
}

/** Nothing is quiet yet. */
export const notQuiet = (): Quiet => ({ seconds: 0, bounds: new Float64Array(4) });

/** Rounding of a correction and back; a reading so near a bound is looked at. */
const NEAR = 1e-9;

/**
 * Works out how long ticks would certainly change nothing but the clocks, and between which readings: `seconds` is 0 wherever that is not plain to see. Most
 * seconds of a day are such, and passing over them changes no run.
 */
export function quietFor(config: ControlConfig, state: ControlState, quiet: Quiet): void {
  quiet.seconds = 0;
  const { defrost, fans, probes, stage2, alarms } = config;
  if (
    state.phase !== 'regulate' ||
    state.standby ||
    state.air.failed ||
    state.coil.failed ||
    state.coil2.failed
  )
    return;
  if (defrost.initiation === 'demand' || !(probes.airSlope > 0)) return;
  if (state.call !== state.out.compressor || probes.filter > 0 || stage2.function !== 'none') return;
  // A fan that the control does not manage waits for nothing.
  if (state.doorOpenedAt >= 0 || state.inputSince >= 0 || state.out.alarm) return;
  if (state.fanWaits && fans.controlled) return;
  if (state.doorShutAt >= 0 && state.t - state.doorShutAt <= fans.doorCloseDelay) return;
  if (state.highSince >= 0 || state.lowSince >= 0) return;
  if (config.compressor.powerOnHoldsFans && state.t <= state.readySince + config.compressor.powerOnDelay)
    return;
  let left = Infinity;
  if (fans.controlled && !state.out.compressor) {
    if (fans.inRest === 'cycle') return;
    if (state.lastStop >= 0 && fans.runOn > 0) left = runOnLeft(state, fans.runOn);
  }
  left = Math.min(left, untilDefrost(config, state));
  if (!(left > 0)) return;
  const { bounds } = quiet;
  bounds[AIR_ABOVE] = -Infinity;
  bounds[AIR_BELOW] = Infinity;
  boundDemand(config, state, bounds);
  if (alarms.reference !== 'none') boundAlarms(config, state, bounds);
  bounds[AIR_ABOVE] = (bounds[AIR_ABOVE] - probes.airOffset) / probes.airSlope + NEAR;
  bounds[AIR_BELOW] = (bounds[AIR_BELOW] - probes.airOffset) / probes.airSlope - NEAR;
  boundCoil(config, state, bounds);
  quiet.seconds = left;
}

/** True while the control would still do nothing on these readings, one second on. */
export function staysQuiet(quiet: Quiet, inputs: ControlInputs): boolean {
  const { bounds } = quiet;
  if (!(quiet.seconds > 0 && inputs.air > bounds[AIR_ABOVE]! && inputs.air < bounds[AIR_BELOW]!))
    return false;
  return inputs.coil === null || (inputs.coil > bounds[COIL_ABOVE]! && inputs.coil < bounds[COIL_BELOW]!);
}

/** Lets quiet seconds pass in which the readings stay: the clocks go on, the readings are taken. `timeOfDay` is that of the last of them. */
export function letPass(
  config: ControlConfig,
  state: ControlState,
  inputs: ControlInputs,
  seconds = 1,
): void {
  const { airSlope, airOffset, coilOffset, coilPresent } = config.probes;
  state.air.value = airSlope * inputs.air + airOffset;
  if (coilPresent && inputs.coil !== null) state.coil.value = inputs.coil + coilOffset;
  state.t += seconds;
  if (state.out.compressor) state.runSeconds += seconds;
  state.lastTimeOfDay = inputs.timeOfDay;
}

/** Seconds until a defrost is due; Infinity where none is counted, 0 where it is looked for second by second. */
function untilDefrost({ defrost }: ControlConfig, state: ControlState): number {
  if (defrost.method === 'none' || defrost.maxDuration <= 0 || defrost.initiation === 'manual')
    return Infinity;
  if (defrost.initiation === 'clock') return 0;
  if (defrost.interval <= 0) return Infinity;
  if (defrost.initiation === 'interval') return state.lastDefrostStart + defrost.interval - state.t;
  if (defrost.initiation === 'coolingTime') return state.coolingSince + defrost.interval - state.t;
  return state.out.compressor ? defrost.interval - state.runSeconds : Infinity;
}

/** Seconds of run-on that are left: none where it ends at the next tick; once over it is over. */
function runOnLeft(state: ControlState, runOn: number): number {
  const left = state.lastStop + runOn - state.t;
  return left >= 0 ? left : Infinity;
}

/** Up to cut-in where nothing is called, down to cut-out where it is; mirrored for what heats. */
function boundDemand(config: ControlConfig, state: ControlState, bounds: Float64Array): void {
  const { stage } = config;
  const setpoint = actingSetpoint(config, state);
  const out = stage.differential === 0 ? 0 : -shareToCutOut(stage.placement) * stage.differential;
  // Beyond the set point in the direction of the call, as `demandOf` counts it.
  const beyond = state.demand
    ? out + EPSILON
    : stage.differential === 0
      ? EPSILON
      : out + stage.differential - EPSILON;
  const edge = stage.heat ? setpoint - beyond : setpoint + beyond;
  // Running, cooling leaves downward; resting, upward; what heats the other way.
  if (state.demand === stage.heat) bounds[AIR_BELOW] = Math.min(bounds[AIR_BELOW]!, edge);
  else bounds[AIR_ABOVE] = Math.max(bounds[AIR_ABOVE]!, edge);
}

/** A reading at which a limit counts or clears; suspended or not, it is looked at second by second then. */
function boundAlarms(config: ControlConfig, state: ControlState, bounds: Float64Array): void {
  const { high, low, reference, differential } = config.alarms;
  const about = reference === 'relative' ? actingSetpoint(config, state) : 0;
  const room = differential + 1e-3;
  const sign = reference === 'relative' ? -1 : 1;
  if (high !== null) bounds[AIR_BELOW] = Math.min(bounds[AIR_BELOW]!, about + high - room);
  if (low !== null) bounds[AIR_ABOVE] = Math.max(bounds[AIR_ABOVE]!, about + sign * low + room);
}

/** The coil at which the fan stops or may run again. */
function boundCoil({ fans, probes }: ControlConfig, state: ControlState, bounds: Float64Array): void {
  bounds[COIL_ABOVE] = -Infinity;
  bounds[COIL_BELOW] = Infinity;
  if (fans.stopCoil === null || !probes.coilPresent || Number.isNaN(state.coil.value)) return;
  if (state.coilTooWarm)
    bounds[COIL_ABOVE] = fans.stopCoil - fans.coilDifferential + EPSILON - probes.coilOffset + NEAR;
  else bounds[COIL_BELOW] = fans.stopCoil + EPSILON - probes.coilOffset - NEAR;
}
