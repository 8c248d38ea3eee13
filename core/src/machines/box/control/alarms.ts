import { EPSILON } from '../../../foundation/limits/index.ts';
import type { ControlConfig } from './config.ts';
import { actingSetpoint } from './demand.ts';
import type { Emit } from './event.ts';
import { setStage2 } from './stage2.ts';
import { alarmCauses, type AlarmCause } from '../../../foundation/settings/index.ts';
import type { ControlInputs, ControlState } from './state.ts';

/** The external input, before the compressor: it may stop it. */
export function watchInput(
  config: ControlConfig,
  state: ControlState,
  inputs: ControlInputs,
  emit: Emit,
): void {
  if (!inputs.alarmInput) state.inputSince = -1;
  else if (state.inputSince < 0) state.inputSince = state.t;
  const stands = state.inputSince >= 0 && state.t - state.inputSince >= config.alarms.inputDelay;
  const on = stands && !state.standby;
  if (on !== state.causes.input) setCause(state, 'input', on, emit);
}

/** Every alarm at this tick, and the output: any cause. */
export function workOutAlarms(config: ControlConfig, state: ControlState, emit: Emit): void {
  const { alarms } = config;
  const { t, standby } = state;
  temperatureAlarms(config, state, emit);
  const door = alarms.doorDelay > 0 && state.doorOpenedAt >= 0 && t - state.doorOpenedAt >= alarms.doorDelay;
  const { causes } = state;
  const airProbe = state.air.failed && !standby;
  const coilProbe = (state.coil.failed || state.coil2.failed) && !standby;
  // Named one by one, not looked up: this runs 2.6 million times a simulated month.
  if (causes.door !== (door && !standby)) setCause(state, 'door', !causes.door, emit);
  if (causes.airProbe !== airProbe) setCause(state, 'airProbe', airProbe, emit);
  if (causes.coilProbe !== coilProbe) setCause(state, 'coilProbe', coilProbe, emit);
  const on = causes.high || causes.low || causes.door || causes.input || causes.airProbe || causes.coilProbe;
  if (on !== state.out.alarm) {
    state.out.alarm = on;
    const first = alarmCauses.find((cause) => state.causes[cause]);
    emit({ t, kind: 'alarm', value: on, ...(first !== undefined && { reason: first }) });
  }
  if (config.stage2.function === 'alarm') setStage2(state, on, emit);
}

function temperatureAlarms(config: ControlConfig, state: ControlState, emit: Emit): void {
  const { alarms } = config;
  if (alarms.reference === 'none') return;
  if (suspended(config, state)) {
    state.highSince = -1;
    state.lowSince = -1;
    if (state.causes.high) setCause(state, 'high', false, emit);
    if (state.causes.low) setCause(state, 'low', false, emit);
    return;
  }
  const setpoint = actingSetpoint(config, state);
  const high =
    alarms.high === null ? null : alarms.reference === 'relative' ? setpoint + alarms.high : alarms.high;
  const low =
    alarms.low === null ? null : alarms.reference === 'relative' ? setpoint - alarms.low : alarms.low;
  const air = state.air.value;
  // Far inside both limits, where a box is nearly always, there is nothing to count and nothing to clear.
  const room = alarms.differential + EPSILON;
  const { causes } = state;
  if (high !== null && (air >= high - room || causes.high || state.highSince >= 0))
    state.highSince = limit(config, state, 'high', air - high, state.highSince, emit);
  if (low !== null && (air <= low + room || causes.low || state.lowSince >= 0))
    state.lowSince = limit(config, state, 'low', low - air, state.lowSince, emit);
}

/** One limit: beyond it without a break for the delay it alarms; it clears back inside by the differential. Returns since when it is beyond. */
function limit(
  config: ControlConfig,
  state: ControlState,
  cause: AlarmCause,
  beyond: number,
  since: number,
  emit: Emit,
): number {
  const { delay, differential } = config.alarms;
  const passed = beyond >= -EPSILON;
  const began = passed ? (since < 0 ? state.t : since) : -1;
  if (passed && state.t - began >= delay) setCause(state, cause, true, emit);
  else if (!passed && beyond <= -differential + EPSILON) setCause(state, cause, false, emit);
  return began;
}

/** No temperature alarm in these times, and none while there is no reading. */
function suspended(config: ControlConfig, state: ControlState): boolean {
  const { powerOnExclusion, defrostExclusion } = config.alarms;
  return (
    state.standby ||
    state.air.failed ||
    state.phase !== 'regulate' ||
    state.t < powerOnExclusion ||
    (state.drainEnded >= 0 && state.t - state.drainEnded < defrostExclusion)
  );
}

function setCause(state: ControlState, cause: AlarmCause, on: boolean, emit: Emit): void {
  if (state.causes[cause] === on) return;
  state.causes[cause] = on;
  emit({ t: state.t, kind: 'alarmCause', value: on, reason: cause });
}
