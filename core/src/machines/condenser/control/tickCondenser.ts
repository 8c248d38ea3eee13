import { EPSILON } from '../../../foundation/limits/index.ts';
import type { Emit } from '../../box/index.ts';
import type { CondenserConfig } from './condenserConfig.ts';
import type { CondenserInputs, CondenserState } from './condenserState.ts';
import { watchCondenser } from './condenserAlarms.ts';
import { fanDemand, fanSetpoint } from './fanDemand.ts';
import { rotate } from './rotate.ts';

/** Percent by which the output must move to be told. */
const TOLD = 1;

/**
 * One second of the fans of a condenser (rule 9). Changes `state` in place and returns the output, share of full speed. Kick, then ramps, then the quiet cap, which
 * always wins. A failed probe: the backup where it is fitted, else the fixed output.
 */
export function tickCondenser(
  config: CondenserConfig,
  state: CondenserState,
  inputs: CondenserInputs,
  emit: Emit,
  resets = false,
): number {
  const reading = readingOf(config, inputs);
  const setpoint = fanSetpoint(config, inputs.outdoor);
  watchCondenser(config, state, inputs, reading, setpoint, resets, emit);
  const forbidden = state.causes.overload || (config.onlyWithCompressor && !inputs.compressor);
  const cut = cutOff(config, state, reading);
  if (reading !== null) state.demand = fanDemand(config, state, reading - setpoint);
  const wanted = forbidden || cut ? 0 : reading === null ? config.faultOutput : speedOf(config, state.demand);
  if (config.method === 'onOff')
    rotate(
      state,
      config.rotation,
      Math.round(
        (forbidden || cut ? 0 : reading === null ? config.faultOutput : state.demand) * config.fanCount,
      ),
    );
  state.ramped = forbidden || cut ? 0 : ramped(config, state, wanted);
  const kicks = state.t < state.kickUntil && state.ramped > 0;
  const free = kicks ? 1 : state.ramped;
  state.output = isQuiet(config, inputs) ? Math.min(free, config.quiet.cap) : free;
  tell(state, emit);
  for (const fan of state.fans) if (config.method === 'onOff' ? fan.on : state.output > 0) fan.seconds += 1;
  state.t += 1;
  return state.output;
}

/** Volts of the drive for an output: least at the least speed, most at the most; 0 while off. */
export function driveVolts(config: CondenserConfig, output: number): number {
  if (output <= 0) return 0;
  const { speed, volts } = config;
  const share =
    speed.max > speed.min ? Math.min(1, Math.max(0, (output - speed.min) / (speed.max - speed.min))) : 1;
  return volts.min + share * (volts.max - volts.min);
}

function readingOf(config: CondenserConfig, { liquid, backup }: CondenserInputs): number | null {
  if (liquid !== null && liquid === liquid) return liquid;
  return config.backupProbe && backup !== null && backup === backup ? backup : null;
}

/** Below the cut-off the fans are off; once cut, they stay off until the reading is above it by its differential. */
function cutOff(config: CondenserConfig, state: CondenserState, reading: number | null): boolean {
  const { cutOffTemperature, cutOffDifferential } = config;
  state.cut =
    reading !== null &&
    cutOffTemperature !== null &&
    reading < cutOffTemperature + (state.cut ? cutOffDifferential : 0) - (state.cut ? EPSILON : 0);
  return state.cut;
}

/** f = 0: off; else min + f·(max − min). On-off fans run at full speed, so that f is the share of them. */
function speedOf({ method, speed }: CondenserConfig, demand: number): number {
  if (demand <= 0) return 0;
  return method === 'onOff' ? demand : speed.min + demand * (speed.max - speed.min);
}

/** The output moved towards what is wanted, no faster than least to full in the rise time and back in the fall time; a start begins at the least, with a kick. */
function ramped(config: CondenserConfig, state: CondenserState, wanted: number): number {
  const { speed, riseTime, fallTime, kickTime, method } = config;
  if (method === 'onOff') return wanted;
  const before = state.ramped;
  if (before <= 0) {
    if (wanted <= 0) return 0;
    if (kickTime > 0) state.kickUntil = state.t + kickTime;
    if (riseTime <= 0) return wanted;
    return Math.min(wanted, Math.max(speed.min, (speed.max - speed.min) / riseTime));
  }
  const range = speed.max - speed.min;
  if (wanted > before) return riseTime > 0 ? Math.min(wanted, before + range / riseTime) : wanted;
  if (fallTime <= 0 || wanted === before) return wanted;
  const next = before - range / fallTime;
  // Off is reached over the least speed.
  if (wanted <= 0) return next <= speed.min ? 0 : next;
  return Math.max(wanted, next);
}

function isQuiet({ quiet }: CondenserConfig, inputs: CondenserInputs): boolean {
  if (quiet.source === 'input') return inputs.quiet;
  if (quiet.source !== 'clock' || quiet.start === quiet.end) return false;
  const { timeOfDay } = inputs;
  return quiet.start < quiet.end
    ? timeOfDay >= quiet.start && timeOfDay < quiet.end
    : timeOfDay >= quiet.start || timeOfDay < quiet.end;
}

function tell(state: CondenserState, emit: Emit): void {
  const percent = state.output * 100;
  const edge = (percent === 0) !== (state.told === 0);
  if (!edge && Math.abs(percent - state.told) < TOLD - 1e-9) return;
  if (percent === state.told) return;
  state.told = percent;
  emit({ t: state.t, kind: 'condenserFan', value: Math.round(percent * 1e6) / 1e6 });
}
