import type { ControlConfig } from './config.ts';
import type { ControlState } from './state.ts';

/**
 * Seconds for which ticks under the inputs of the last one certainly change nothing but the clocks; 0 wherever that is not plain to see. A comparison of hundreds of
 * variants skips them; a run that is shown does not.
 */
export function quietFor(config: ControlConfig, state: ControlState): number {
  const { defrost, fans, probes, stage2, alarms } = config;
  if (
    state.phase !== 'regulate' ||
    state.standby ||
    state.air.failed ||
    state.coil.failed ||
    state.coil2.failed
  )
    return 0;
  if (defrost.initiation === 'demand') return 0;
  if (state.call !== state.out.compressor || probes.filter > 0 || stage2.function !== 'none') return 0;
  if (state.doorOpenedAt >= 0 || state.inputSince >= 0 || state.fanWaits || state.out.alarm) return 0;
  if (state.doorShutAt >= 0 && state.t - state.doorShutAt <= fans.doorCloseDelay) return 0;
  if (alarms.reference !== 'none' && nearLimit(config, state)) return 0;
  if (config.compressor.powerOnHoldsFans && state.t <= state.readySince + config.compressor.powerOnDelay)
    return 0;
  let left = Infinity;
  if (fans.controlled && !state.out.compressor) {
    if (fans.inRest === 'cycle') return 0;
    if (state.lastStop >= 0 && fans.runOn > 0) left = runOnLeft(state, fans.runOn);
  }
  if (defrost.method === 'none' || defrost.maxDuration <= 0 || defrost.initiation === 'manual') return left;
  if (defrost.initiation === 'clock') return 0;
  if (defrost.interval <= 0) return left;
  const due =
    defrost.initiation === 'interval'
      ? state.lastDefrostStart + defrost.interval - state.t
      : defrost.initiation === 'coolingTime'
        ? state.coolingSince + defrost.interval - state.t
        : state.out.compressor
          ? defrost.interval - state.runSeconds
          : Infinity;
  return Math.max(0, Math.min(left, due));
}

/** Lets so many quiet seconds pass; `timeOfDay` is that of the last of them. */
export function letPass(state: ControlState, seconds: number, timeOfDay: number): void {
  state.t += seconds;
  if (state.out.compressor) state.runSeconds += seconds;
  state.lastTimeOfDay = timeOfDay;
}

/** Seconds of run-on that are left: none where it ends at the next tick; once over it is over. */
function runOnLeft(state: ControlState, runOn: number): number {
  const left = state.lastStop + runOn - state.t;
  return left >= 0 ? left : Infinity;
}

/** A reading at which a limit counts or clears; suspended or not, it is looked at second by second then. */
function nearLimit(config: ControlConfig, state: ControlState): boolean {
  const { high, low, reference, differential } = config.alarms;
  if (state.highSince >= 0 || state.lowSince >= 0) return true;
  const about = reference === 'relative' ? state.setpoint + (state.setbackOn ? config.setback : 0) : 0;
  const air = state.air.value;
  const room = differential + 1e-3;
  const sign = reference === 'relative' ? -1 : 1;
  return (high !== null && air >= about + high - room) || (low !== null && air <= about + sign * low + room);
}
