import type { AlarmCause } from '../../../foundation/settings/index.ts';
/** A command from the front, the bus or a log. */
export type Command =
  | {
      readonly does:
        | 'startDefrost'
        | 'stopDefrost'
        | 'standbyOn'
        | 'standbyOff'
        | 'setbackOn'
        | 'setbackOff'
        | 'resetAlarms';
    }
  | { readonly does: 'setpoint'; readonly celsius: number };

/** What the machine is told at a tick. A reading is °C; NaN is a failed probe, null one that is not there. */
export interface ControlInputs {
  air: number;
  coil: number | null;
  coil2: number | null;
  doorOpen: boolean;
  alarmInput: boolean;
  /** Seconds since local midnight. */
  timeOfDay: number;
  commands: readonly Command[];
}

/** Outputs after a tick: they hold until the next. */
export interface ControlOutputs {
  compressor: boolean;
  defrost: boolean;
  fan: boolean;
  stage2: boolean;
  alarm: boolean;
}

export type Phase = 'regulate' | 'defrost' | 'drain';

/** One probe as the machine sees it: corrected and smoothed. NaN while failed. */
export interface ProbeState {
  value: number;
  failed: boolean;
}

/** Differences counted for a defrost on demand. */
export interface DemandCount {
  readonly ring: Float64Array;
  length: number;
  next: number;
  sum: number;
  clean: number;
  above: number;
}

/**
 * Everything the machine remembers, in plain fields. `tick` changes it in place, since a month is 2.6 million ticks; `copyState` makes one
 * that goes its own way. Times are seconds since power-up; −1 is never.
 */
export interface ControlState {
  /** The next tick. */
  t: number;
  setpoint: number;
  setbackOn: boolean;
  standby: boolean;
  /** Since when power-up delay, defrost counts and start-up count: 0, or the end of standby. */
  readySince: number;
  air: ProbeState;
  coil: ProbeState;
  coil2: ProbeState;
  /** The second probe where it is none of the coil: the second stage goes by it. */
  second: ProbeState;
  secondFailedAt: number;
  airFailedAt: number;
  demand: boolean;
  call: boolean;
  callBegan: number;
  phase: Phase;
  phaseBegan: number;
  drainEnded: number;
  lastDefrostStart: number;
  coolingSince: number;
  runSeconds: number;
  lastTimeOfDay: number;
  counts: DemandCount;
  out: ControlOutputs;
  lastStart: number;
  lastStop: number;
  held: string;
  fanWaits: boolean;
  coilTooWarm: boolean;
  doorOpenedAt: number;
  doorForced: boolean;
  doorShutAt: number;
  demand2: boolean;
  lastStart2: number;
  lastStop2: number;
  fighting: boolean;
  highSince: number;
  lowSince: number;
  inputSince: number;
  causes: Record<AlarmCause, boolean>;
}

const never = -1;

/** A machine at power-up: everything off, nothing counted. */
export function powerUp(setpoint: number): ControlState {
  const probe = (): ProbeState => ({ value: Number.NaN, failed: false });
  return {
    t: 0,
    setpoint,
    setbackOn: false,
    standby: false,
    readySince: 0,
    air: probe(),
    coil: probe(),
    coil2: probe(),
    second: probe(),
    secondFailedAt: never,
    airFailedAt: never,
    demand: false,
    call: false,
    callBegan: never,
    phase: 'regulate',
    phaseBegan: 0,
    drainEnded: never,
    lastDefrostStart: 0,
    coolingSince: 0,
    runSeconds: 0,
    lastTimeOfDay: never,
    counts: { ring: new Float64Array(600), length: 0, next: 0, sum: 0, clean: Infinity, above: 0 },
    out: { compressor: false, defrost: false, fan: false, stage2: false, alarm: false },
    lastStart: never,
    lastStop: never,
    held: '',
    fanWaits: false,
    coilTooWarm: false,
    doorOpenedAt: never,
    doorForced: false,
    doorShutAt: never,
    demand2: false,
    lastStart2: never,
    lastStop2: never,
    fighting: false,
    highSince: never,
    lowSince: never,
    inputSince: never,
    causes: { high: false, low: false, door: false, input: false, airProbe: false, coilProbe: false },
  };
}
