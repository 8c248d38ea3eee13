import { EPSILON } from '../../../foundation/limits/index.ts';
import type { ControlConfig } from './config.ts';
import { defrostDue, restartCounts } from './defrostDue.ts';
import type { Emit } from './event.ts';
import { coldestCoil } from './readings.ts';
import type { ControlInputs, ControlState, Phase } from './state.ts';

/** Ends a phase that is over, then begins a defrost that is due: regulate, defrost, drain, regulate. Not called in standby. */
export function movePhases(
  config: ControlConfig,
  state: ControlState,
  inputs: ControlInputs,
  emit: Emit,
): void {
  const told = inputs.commands.length > 0;
  const stop = told && inputs.commands.some((c) => c.does === 'stopDefrost');
  if (state.phase === 'defrost') endDefrost(config, state, stop, emit);
  if (state.phase === 'drain' && state.t - state.phaseBegan >= config.defrost.drain)
    regulate(state, 'drained', emit);
  const asked = told && inputs.commands.some((c) => c.does === 'startDefrost');
  if (asked) startByHand(config, state, emit);
  if (state.phase !== 'regulate') return;
  const due = defrostDue(config, state, inputs.timeOfDay);
  if (due === '') return;
  const warm = warmEnough(config, state);
  restartCounts(state);
  if (warm !== null)
    emit({
      t: state.t,
      kind: 'defrostSkipped',
      value: true,
      reason: `${due}: the coil is warm`,
      numbers: { coil: warm },
    });
  else enter(state, 'defrost', due, emit);
}

function endDefrost(config: ControlConfig, state: ControlState, stop: boolean, emit: Emit): void {
  const warm = warmEnough(config, state);
  const over = state.t - state.phaseBegan >= config.defrost.maxDuration;
  if (!stop && warm === null && !over) return;
  const reason = warm !== null ? 'temperature' : over ? 'time' : 'command';
  if (config.defrost.drain > 0) enter(state, 'drain', reason, emit);
  else regulate(state, reason, emit);
}

/** The coil's temperature where it ends a defrost: only by temperature, with a good probe. */
function warmEnough(config: ControlConfig, state: ControlState): number | null {
  const { byTemperature, endTemperature } = config.defrost;
  const coil = coldestCoil(state);
  return byTemperature && endTemperature !== null && coil >= endTemperature - EPSILON ? coil : null;
}

function startByHand(config: ControlConfig, state: ControlState, emit: Emit): void {
  const { method, maxDuration, manualMaxCoil } = config.defrost;
  const coil = state.coil.value;
  const why =
    method === 'none' || maxDuration <= 0
      ? 'no defrost is set'
      : state.phase === 'drain'
        ? 'draining'
        : manualMaxCoil !== null && coil > manualMaxCoil + EPSILON
          ? 'the coil is too warm'
          : null;
  if (why !== null) emit({ t: state.t, kind: 'commandRefused', value: 'startDefrost', reason: why });
  else if (state.phase === 'regulate') {
    restartCounts(state);
    enter(state, 'defrost', 'command', emit);
  }
}

function regulate(state: ControlState, reason: string, emit: Emit): void {
  enter(state, 'regulate', reason, emit);
  state.drainEnded = state.t;
  state.coolingSince = state.t;
  state.fanWaits = true;
}

function enter(state: ControlState, phase: Phase, reason: string, emit: Emit): void {
  state.phase = phase;
  state.phaseBegan = state.t;
  emit({ t: state.t, kind: 'phase', value: phase, reason });
}
