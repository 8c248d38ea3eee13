import { EPSILON } from '../../../foundation/limits/index.ts';
import type { Emit } from '../../box/index.ts';
import type { CondenserConfig } from './condenserConfig.ts';
import type { CondenserCause, CondenserInputs, CondenserState } from './condenserState.ts';

/** High and low condensing, overload, and a failed probe without a backup: each with its own delay. `setpoint` is the one in force, `resets` clears an overload by hand. */
export function watchCondenser(
  config: CondenserConfig,
  state: CondenserState,
  inputs: CondenserInputs,
  reading: number | null,
  setpoint: number,
  resets: boolean,
  emit: Emit,
): void {
  const { relative, differential, delay } = config.alarms;
  const high = limitOf(config.alarms.high, relative ? setpoint : 0, 1);
  const low = limitOf(config.alarms.low, relative ? setpoint : 0, relative ? -1 : 1);
  setCause(state, 'liquidProbe', reading === null, emit);
  if (reading !== null) {
    state.highSince = limit(
      state,
      'highCondensing',
      high === null ? null : reading - high,
      differential,
      state.highSince,
      delay,
      emit,
    );
    state.lowSince = limit(
      state,
      'lowCondensing',
      low === null ? null : low - reading,
      differential,
      state.lowSince,
      delay,
      emit,
    );
  }
  const { fitted, delay: overloadDelay, manual } = config.overload;
  if (!fitted) return;
  if (!inputs.overload) state.overloadSince = -1;
  else if (state.overloadSince < 0) state.overloadSince = state.t;
  if (inputs.overload && state.t - state.overloadSince >= overloadDelay)
    setCause(state, 'overload', true, emit);
  else if (!inputs.overload && (!manual || resets)) setCause(state, 'overload', false, emit);
}

/** A limit, °C: `by` from where it counts; null: none. */
const limitOf = (by: number | null, from: number, way: 1 | -1): number | null =>
  by === null ? null : from + way * by;

/** `beyond` K past a limit, without a break for the delay, sets it; back by the differential clears it. Returns since when it is passed. */
function limit(
  state: CondenserState,
  cause: CondenserCause,
  beyond: number | null,
  differential: number,
  since: number,
  delay: number,
  emit: Emit,
): number {
  if (beyond === null) return -1;
  if (state.causes[cause]) {
    if (beyond <= -differential + EPSILON && beyond < -EPSILON) setCause(state, cause, false, emit);
    return -1;
  }
  if (beyond < -EPSILON) return -1;
  const began = since < 0 ? state.t : since;
  if (state.t - began < delay) return began;
  setCause(state, cause, true, emit);
  return -1;
}

function setCause(state: CondenserState, cause: CondenserCause, value: boolean, emit: Emit): void {
  if (state.causes[cause] === value) return;
  state.causes[cause] = value;
  emit({ t: state.t, kind: 'alarmCause', value, reason: cause });
}
