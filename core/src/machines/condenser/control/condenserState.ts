import type { CondenserConfig } from './condenserConfig.ts';

/** What the fans' control is told at a tick: °C; NaN is a failed probe, null one that is not there. */
export interface CondenserInputs {
  liquid: number | null;
  backup: number | null;
  outdoor: number | null;
  compressor: boolean;
  /** The quiet input, and the fans' common overload. */
  quiet: boolean;
  overload: boolean;
  /** Seconds since local midnight. */
  timeOfDay: number;
}

/** One of several fans switched on and off. */
export interface FanState {
  on: boolean;
  seconds: number;
  starts: number;
  /** The how-manieth change of any fan its last one was; −1 before it. */
  since: number;
}

export const condenserCauses = ['highCondensing', 'lowCondensing', 'overload', 'liquidProbe'] as const;
export type CondenserCause = (typeof condenserCauses)[number];

/** Everything the fans' control remembers; changed in place by its tick. */
export interface CondenserState {
  t: number;
  /** Demand before min and max, 0 to 1, and its integral part. */
  demand: number;
  integral: number;
  /** Output, share of full speed, as the fans get it, and as the ramps have brought it (before the quiet cap). */
  output: number;
  ramped: number;
  kickUntil: number;
  /** Cut off in the cold, until the reading is far enough above. */
  cut: boolean;
  fans: FanState[];
  /** Starts and stops of fans so far. */
  changes: number;
  highSince: number;
  lowSince: number;
  overloadSince: number;
  causes: Record<CondenserCause, boolean>;
  /** Percent last told as an event. */
  told: number;
}

/** The fans' control at power-up: everything off. */
export function condenserAtRest(config: CondenserConfig): CondenserState {
  return {
    t: 0,
    demand: 0,
    integral: 0,
    output: 0,
    ramped: 0,
    kickUntil: -1,
    cut: false,
    fans: Array.from({ length: config.fanCount }, () => ({ on: false, seconds: 0, starts: 0, since: -1 })),
    changes: 0,
    highSince: -1,
    lowSince: -1,
    overloadSince: -1,
    causes: { highCondensing: false, lowCondensing: false, overload: false, liquidProbe: false },
    told: 0,
  };
}
