import { placeBand, shareToCutOut } from '../../../foundation/regulation/index.ts';
import { EPSILON } from '../../../foundation/limits/index.ts';
import type { ControlConfig, OnFault, StageConfig } from './config.ts';
import type { ControlState } from './state.ts';

/** The set point in force: with the set-back while it is on. */
export const actingSetpoint = (config: ControlConfig, state: ControlState): number =>
  state.setbackOn ? state.setpoint + config.setback : state.setpoint;

/** Where a stage stops and starts, °C. */
export function bandOf(
  stage: StageConfig,
  setpoint: number,
): { readonly cutOut: number; readonly cutIn: number } {
  return placeBand(setpoint, stage.differential, stage.placement, stage.heat);
}

/** A stage's demand: on at cut-in, off at cut-out, otherwise as it was. Without a differential on beyond the set point, off at it. */
export function demandOf(stage: StageConfig, setpoint: number, reading: number, before: boolean): boolean {
  const sign = stage.heat ? -1 : 1;
  if (stage.differential === 0) return sign * (reading - setpoint) > EPSILON;
  // Beyond the set point in the direction of the call; no object is made, this runs every second.
  const beyond = sign * (reading - setpoint);
  const out = -shareToCutOut(stage.placement) * stage.differential;
  if (beyond >= out + stage.differential - EPSILON) return true;
  if (beyond <= out + EPSILON) return false;
  return before;
}

/** What replaces the call while the probe is failed; a duty cycle keeps a fixed clock from the failure and begins with its on part. */
export function faultCall(onFault: OnFault, seconds: number, on: number, off: number): boolean {
  if (onFault === 'run') return true;
  if (onFault === 'stop' || on <= 0) return false;
  return off <= 0 || seconds % (on + off) < on;
}

/** Demand and call of the first stage, worked out in every phase: a call that begins in a defrost counts from there. */
export function workOutCall(config: ControlConfig, state: ControlState): void {
  if (!state.air.failed)
    state.demand = demandOf(config.stage, actingSetpoint(config, state), state.air.value, state.demand);
  const { onFault, faultOn, faultOff } = config.compressor;
  const call = state.air.failed
    ? faultCall(onFault, state.t - state.airFailedAt, faultOn, faultOff)
    : state.demand;
  if (call && !state.call) state.callBegan = state.t;
  state.call = call;
}
