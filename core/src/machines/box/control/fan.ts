import { EPSILON } from '../../../foundation/limits/index.ts';
import type { ControlConfig, FanConfig } from './config.ts';
import type { Emit } from './event.ts';
import type { ControlState } from './state.ts';

/** The evaporator fan at this tick. */
export function workOutFan(config: ControlConfig, state: ControlState, doorStops: boolean, emit: Emit): void {
  const { fans } = config;
  watchCoil(fans, state);
  const reason = state.standby ? 'standby' : !fans.controlled ? '' : offReason(config, state, doorStops);
  const on = reason === '';
  if (on === state.out.fan) return;
  state.out.fan = on;
  emit({ t: state.t, kind: 'fan', value: on, ...(reason !== '' && { reason }) });
}

/** Too warm above the stop temperature, until the coil is colder by the differential. Watched in every phase. */
function watchCoil(fans: FanConfig, state: ControlState): void {
  const coil = state.coil.value;
  if (fans.stopCoil === null || Number.isNaN(coil)) state.coilTooWarm = false;
  else if (coil > fans.stopCoil + EPSILON) state.coilTooWarm = true;
  else if (coil <= fans.stopCoil - fans.coilDifferential + EPSILON) state.coilTooWarm = false;
}

/** Why the fan is off; empty where it runs. */
function offReason(config: ControlConfig, state: ControlState, doorStops: boolean): string {
  const { fans } = config;
  if (fans.stopsAtDoor && doorStops) return 'doorOpen';
  if (
    fans.stopsAtDoor &&
    !state.doorForced &&
    state.doorShutAt >= 0 &&
    state.t - state.doorShutAt < fans.doorCloseDelay
  )
    return 'doorShut';
  if (state.phase !== 'regulate') return fans.runsInDefrost ? '' : state.phase;
  if (config.compressor.powerOnHoldsFans && state.t - state.readySince < config.compressor.powerOnDelay)
    return 'powerOnDelay';
  if (state.fanWaits) {
    if (stillWaits(fans, state)) return 'afterDrain';
    state.fanWaits = false;
  }
  if (state.coilTooWarm) return 'coilTooWarm';
  return state.out.compressor || runsInRest(fans, state) ? '' : 'rest';
}

/** After drain: until the coil is cold or the delay is over, whichever first. */
function stillWaits(fans: FanConfig, state: ControlState): boolean {
  const { delayAfterDrain: delay, restartCoil } = fans;
  const coil = state.coil.value;
  const byCoil = restartCoil !== null && !Number.isNaN(coil);
  if (delay !== null && state.t - state.drainEnded >= delay) return false;
  if (byCoil && coil <= restartCoil + EPSILON) return false;
  return delay !== null || byCoil;
}

function runsInRest(fans: FanConfig, state: ControlState): boolean {
  const since = state.t - Math.max(0, state.lastStop);
  return restFan(fans, since, state.lastStop >= 0);
}

/** Whether the fan runs so many seconds into a rest: run-on and the cycle count from the stop, or from power-up before the first start; then nothing runs on. */
export function restFan(fans: FanConfig, since: number, stopped = true): boolean {
  if (stopped && since < fans.runOn) return true;
  if (fans.inRest !== 'cycle') return fans.inRest === 'run';
  if (fans.restOn <= 0) return false;
  return fans.restOff <= 0 || since % (fans.restOn + fans.restOff) < fans.restOn;
}
