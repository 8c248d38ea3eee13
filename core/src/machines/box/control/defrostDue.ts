import type { ControlConfig } from './config.ts';
import type { ControlState } from './state.ts';

const SETTLE = 120;
const WINDOW = 600;
const IN_A_ROW = 300;

/** Counts the air-to-coil difference while the compressor has run long enough: the mean over a window, the smallest of a clean coil. */
export function countDemand(config: ControlConfig, state: ControlState): void {
  if (state.phase !== 'regulate') return;
  const { counts, t } = state;
  if (!state.out.compressor || t - state.lastStart < SETTLE) return;
  const difference = state.air.value - state.coil.value;
  if (Number.isNaN(difference)) return;
  if (counts.length === WINDOW) counts.sum -= counts.ring[counts.next]!;
  else counts.length += 1;
  counts.ring[counts.next] = difference;
  counts.sum += difference;
  counts.next = (counts.next + 1) % WINDOW;
  if (counts.length < WINDOW) return;
  const mean = counts.sum / WINDOW;
  if (mean < counts.clean) counts.clean = mean;
  counts.above = mean - counts.clean > config.defrost.demandDifference ? counts.above + 1 : 0;
}

/** Starts every count anew: after a defrost began or was skipped, and after standby. */
export function restartCounts(state: ControlState): void {
  state.lastDefrostStart = state.t;
  state.coolingSince = state.t;
  state.runSeconds = 0;
  const { counts } = state;
  counts.length = 0;
  counts.next = 0;
  counts.sum = 0;
  counts.clean = Infinity;
  counts.above = 0;
}

/** Why a defrost is due at this tick; empty where none is. */
export function defrostDue(config: ControlConfig, state: ControlState, timeOfDay: number): string {
  const { method, maxDuration, initiation, interval, atPowerOn, clockTimes } = config.defrost;
  if (method === 'none' || maxDuration <= 0) return '';
  if (atPowerOn && state.t === 0) return 'atPowerOn';
  const counted = interval > 0;
  switch (initiation) {
    case 'interval':
      return counted && state.t - state.lastDefrostStart >= interval ? 'interval' : '';
    case 'coolingTime':
      return counted && state.t - state.coolingSince >= interval ? 'coolingTime' : '';
    case 'compressorRunTime':
      return counted && state.runSeconds >= interval ? 'compressorRunTime' : '';
    case 'clock':
      return clockTimes.some((time) => passed(time, state.lastTimeOfDay, timeOfDay)) ? 'clock' : '';
    case 'demand':
      if (state.counts.above >= IN_A_ROW) return 'demand';
      return counted && state.t - state.lastDefrostStart >= interval ? 'interval' : '';
    case 'manual':
      return '';
  }
}

/** True where a time of day came between the last tick and this one; a day has an end. */
function passed(time: number, before: number, now: number): boolean {
  if (before < 0 || before === now) return time === now && before !== now;
  return before < now ? time > before && time <= now : time > before || time <= now;
}
