import { watchInput, workOutAlarms } from './alarms.ts';
import { workOutCompressor } from './compressor.ts';
import type { ControlConfig } from './config.ts';
import { countDemand, restartCounts } from './defrostDue.ts';
import { workOutCall } from './demand.ts';
import type { Emit } from './event.ts';
import { workOutFan } from './fan.ts';
import { movePhases } from './phases.ts';
import { takeReadings } from './readings.ts';
import { workOutStage2 } from './stage2.ts';
import type { ControlInputs, ControlOutputs, ControlState } from './state.ts';

/**
 * One second of a controller. Changes `state` in place and returns its outputs, which hold until the next tick; every change of an output or of the
 * phase is an event at the tick's own time. The same settings, state and inputs always give the same.
 */
export function tick(
  config: ControlConfig,
  state: ControlState,
  inputs: ControlInputs,
  emit: Emit,
): ControlOutputs {
  if (inputs.commands.length > 0) takeCommands(config, state, inputs, emit);
  takeReadings(config, state, inputs, emit);
  const doorStops = watchDoor(config, state, inputs.doorOpen);
  if (inputs.alarmInput || state.inputSince >= 0) watchInput(config, state, inputs, emit);
  workOutCall(config, state);
  if (config.defrost.initiation === 'demand') countDemand(config, state);
  if (!state.standby) movePhases(config, state, inputs, emit);
  setDefrost(config, state, emit);
  workOutCompressor(config, state, doorStops, emit);
  workOutFan(config, state, doorStops, emit);
  if (config.stage2.function === 'thermostat') workOutStage2(config, state, emit);
  workOutAlarms(config, state, emit);
  // Run time counts the second that now begins; in a hot gas defrost it does not count.
  if (state.out.compressor && state.phase === 'regulate') state.runSeconds += 1;
  state.lastTimeOfDay = inputs.timeOfDay;
  state.t += 1;
  return state.out;
}

/** Door times. True while an open door may stop fan and compressor: not after it stood open long enough to force them on again. */
function watchDoor(config: ControlConfig, state: ControlState, open: boolean): boolean {
  const { doorForcedStart } = config.fans;
  if (open) {
    if (state.doorOpenedAt < 0) {
      state.doorOpenedAt = state.t;
      state.doorForced = false;
    }
    if (doorForcedStart > 0 && state.t - state.doorOpenedAt >= doorForcedStart) state.doorForced = true;
    return !state.doorForced;
  }
  if (state.doorOpenedAt >= 0) {
    state.doorOpenedAt = -1;
    state.doorShutAt = state.t;
  }
  return false;
}

function setDefrost(config: ControlConfig, state: ControlState, emit: Emit): void {
  const { method } = config.defrost;
  const on = !state.standby && state.phase === 'defrost' && (method === 'electric' || method === 'hotGas');
  if (on === state.out.defrost) return;
  state.out.defrost = on;
  emit({ t: state.t, kind: 'defrost', value: on });
}

function takeCommands(config: ControlConfig, state: ControlState, inputs: ControlInputs, emit: Emit): void {
  for (const command of inputs.commands) {
    if (command.does === 'setpoint') setSetpoint(config, state, command.celsius, emit);
    else if (command.does === 'setbackOn') state.setbackOn = true;
    else if (command.does === 'setbackOff') state.setbackOn = false;
    else if (command.does === 'standbyOn') enterStandby(state, emit);
    else if (command.does === 'standbyOff' && state.standby) {
      state.standby = false;
      state.readySince = state.t;
      restartCounts(state);
    } else if (command.does === 'startDefrost' && state.standby)
      emit({ t: state.t, kind: 'commandRefused', value: 'startDefrost', reason: 'standby' });
  }
}

/** Standby breaks a defrost off; the rest still counts from the last stop. */
function enterStandby(state: ControlState, emit: Emit): void {
  if (state.standby) return;
  state.standby = true;
  if (state.phase === 'regulate') return;
  state.phase = 'regulate';
  state.phaseBegan = state.t;
  emit({ t: state.t, kind: 'phase', value: 'regulate', reason: 'standby' });
}

function setSetpoint(config: ControlConfig, state: ControlState, celsius: number, emit: Emit): void {
  const { setpointMin, setpointMax } = config;
  const outside =
    !Number.isFinite(celsius) ||
    (setpointMin !== null && celsius < setpointMin - 1e-6) ||
    (setpointMax !== null && celsius > setpointMax + 1e-6);
  if (outside)
    emit({ t: state.t, kind: 'commandRefused', value: 'setpoint', reason: 'outside the user’s range' });
  else state.setpoint = celsius;
}
