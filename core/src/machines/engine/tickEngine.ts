import { EPSILON } from '../../foundation/limits/index.ts';
import { AUTO_START_DELAY, type EngineConfig } from './engineConfig.ts';
import type { EngineInputs, EngineState } from './engineState.ts';

/** What happened, with the reason. */
export interface EngineEvent {
  readonly t: number;
  readonly kind: 'engine' | 'action' | 'setpoint' | 'shutdown' | 'refused';
  readonly value: boolean | string | number;
  readonly reason?: string;
}
type Emit = (event: EngineEvent) => void;

/**
 * One second of a transport unit (rule 10 of docs/control.md): set point kept only once confirmed; continuous runs the engine always and cools or
 * heats towards the set point, start-stop runs it on demand with the least times; a shutdown stands until it is cleared, and then the engine may start at once.
 */
export function tickEngine(config: EngineConfig, state: EngineState, inputs: EngineInputs, emit: Emit): void {
  takeCommands(config, state, inputs, emit);
  if (state.pending !== null && state.t - state.pendingSince >= config.confirmTime) {
    state.pending = null;
    emit({ t: state.t, kind: 'setpoint', value: state.setpoint, reason: 'not confirmed' });
  }
  const action = demandOf(config, state, inputs.air);
  const asked = config.runMode === 'continuous' || action !== 'none';
  const reason = workOutEngine(config, state, asked);
  setEngine(state, reason, emit);
  const acts = state.engine ? action : 'none';
  if (acts !== state.action) {
    state.action = acts;
    emit({ t: state.t, kind: 'action', value: acts });
  }
  state.t += 1;
}

function takeCommands(config: EngineConfig, state: EngineState, inputs: EngineInputs, emit: Emit): void {
  for (const command of inputs.commands) {
    const { t } = state;
    switch (command.does) {
      case 'shutdown':
        state.shutdown = command.code;
        emit({ t, kind: 'shutdown', value: command.code });
        continue;
      case 'clear':
        // The engine may start in this very second: no rest, no wait.
        if (state.shutdown !== null) {
          state.shutdown = null;
          state.lastStop = Number.NEGATIVE_INFINITY;
          emit({ t, kind: 'shutdown', value: '', reason: 'cleared' });
        }
        continue;
      case 'setpoint':
        if (isOutside(config, command.celsius))
          emit({ t, kind: 'refused', value: 'setpoint', reason: 'outside the range' });
        else {
          state.pending = command.celsius;
          state.pendingSince = t;
        }
        break;
      case 'confirm':
        if (state.pending !== null) {
          state.setpoint = state.pending;
          state.pending = null;
          emit({ t, kind: 'setpoint', value: state.setpoint, reason: 'confirmed' });
        }
        break;
      case 'start':
        state.released = true;
        break;
      case 'key':
        break;
    }
    state.lastKey = t;
  }
}

const isOutside = ({ setpointMin, setpointMax }: EngineConfig, celsius: number): boolean =>
  !Number.isFinite(celsius) ||
  (setpointMin !== null && celsius < setpointMin - EPSILON) ||
  (setpointMax !== null && celsius > setpointMax + EPSILON);

/** What the air asks for: begun at the ends of the band, ended at the set point. A failed probe asks as before. */
function demandOf(config: EngineConfig, state: EngineState, air: number): EngineState['action'] {
  const away = air - state.setpoint;
  if (Number.isNaN(away)) return state.action;
  if (away >= config.band - EPSILON) return 'cool';
  if (away <= -config.band + EPSILON) return 'heat';
  if (state.action === 'cool' && away > EPSILON) return 'cool';
  if (state.action === 'heat' && away < -EPSILON) return 'heat';
  return 'none';
}

/** Whether the engine is to run in this second, and why. */
function workOutEngine(
  config: EngineConfig,
  state: EngineState,
  asked: boolean,
): { readonly on: boolean; readonly why: string } {
  const { t } = state;
  if (state.shutdown !== null) return { on: false, why: 'shutdown' };
  if (state.engine) {
    if (asked || t - state.lastStart < config.minOn) return { on: true, why: '' };
    return { on: false, why: 'in range' };
  }
  const free = config.autoStart ? t - state.lastKey >= AUTO_START_DELAY : state.released;
  const rested = t - state.lastStop >= config.minOff;
  return { on: asked && free && rested, why: config.runMode === 'continuous' ? 'continuous' : 'demand' };
}

function setEngine(state: EngineState, { on, why }: ReturnType<typeof workOutEngine>, emit: Emit): void {
  if (on === state.engine) return;
  state.engine = on;
  if (on) state.lastStart = state.t;
  else state.lastStop = state.t;
  emit({ t: state.t, kind: 'engine', value: on, reason: why });
}
