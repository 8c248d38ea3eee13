/** How a stretch of cooling ended: a run, a rest, or a defrost with all that follows it until cooling begins. */
export type StretchKind = 'run' | 'rest' | 'defrost';

/** One stretch between two switchings of the compressor. */
export interface CourseStretch {
  readonly kind: StretchKind;
  readonly from: number;
  readonly to: number;
  /** The band ended it: no shortest time, no defrost, no gap. Then the control's probe stood at cut-out or cut-in. */
  readonly byBand: boolean;
}

/** Outputs from a moment on. */
export interface CourseSwitch {
  readonly at: number;
  readonly compressor: boolean;
  readonly heater: boolean;
  readonly fan: boolean;
}

/** One defrost: how long, and what ended it. */
export interface CourseDefrost {
  readonly from: number;
  readonly to: number;
  readonly byTemperature: boolean;
  /** The switching after drain, at which cooling may begin. */
  readonly over: number;
}

/** A log brought to what the box is run along. Seconds since its first row, °C. */
export interface Course {
  readonly time: Float64Array;
  readonly air: Float64Array;
  readonly coil: Float64Array | null;
  readonly ambient: Float64Array | null;
  /** 0 and 1. */
  readonly door: Float64Array | null;
  /** Second of the day of the first row. */
  readonly startOfDay: number;
  readonly step: number;
  readonly switches: readonly CourseSwitch[];
  readonly stretches: readonly CourseStretch[];
  readonly defrosts: readonly CourseDefrost[];
  /** Outputs were logged; else they were read from the turns of the air. */
  readonly outputsLogged: boolean;
}

/** A column at a moment, in a straight line between rows. */
export function between(time: Float64Array, column: Float64Array, t: number): number {
  let [low, high] = [0, time.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (time[middle]! <= t) low = middle;
    else high = middle;
  }
  const share = (t - time[low]!) / (time[high]! - time[low]!);
  return column[low]! + (column[high]! - column[low]!) * Math.min(1, Math.max(0, share));
}
