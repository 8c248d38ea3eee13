import type { Stretch } from './lanes.ts';

/** A curve over the run: seconds and °C; a gap where the value is no number. Told apart by its dash, not by colour alone. */
export interface StripCurve {
  readonly id: string;
  readonly points: readonly (readonly [seconds: number, celsius: number])[];
  readonly stroke: string;
  readonly dash: string;
  readonly wide: number;
  /** Its name in the key below; null for one that needs none. */
  readonly name: string | null;
}

/** A share of full, 0 to 1, over the run, in a band of its own below the temperatures. */
export interface StripShare {
  readonly name: string;
  readonly points: readonly (readonly [seconds: number, share: number])[];
  readonly stroke: string;
}

/** What is on and off, one line of bars; those of a run compared with lie under them. */
export interface StripLane {
  readonly name: string;
  readonly fill: string;
  readonly own: readonly Stretch[];
  readonly under: readonly Stretch[];
}

/** A limit drawn across: name and °C. */
export interface StripLimit {
  readonly name: string;
  readonly celsius: number;
}
