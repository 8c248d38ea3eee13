import type { InstrumentPlace } from './instruments.ts';

/** How a place differs from the air that the control's probe hangs in. */
interface Difference {
  /** K on average while the machine runs, and while it rests. */
  readonly running: number;
  readonly resting: number;
  /** Standard deviation of it from box to box, K. */
  readonly spread: number;
  /** Seconds by which it follows the air beyond the instrument's own lag. */
  readonly lag: number;
}

/**
 * Places in a refrigerated box against its return air (common practice: supply air is some kelvins colder while the coil is cold and the same without; goods stand near the mean of the air; by the door it is warmer;
 * a surface lies between its air and what is behind it). Sizes are rounded and wide on purpose.
 */
export const placeDifferences: Readonly<Record<InstrumentPlace, Difference>> = {
  returnAir: { running: 0, resting: 0, spread: 0.15, lag: 0 },
  boxAir: { running: 0, resting: 0, spread: 0.5, lag: 30 },
  supplyAir: { running: -4, resting: -0.5, spread: 1.5, lag: 0 },
  door: { running: 0.7, resting: 0.7, spread: 0.8, lag: 60 },
  goods: { running: 0.2, resting: 0.2, spread: 0.6, lag: 4 * 3600 },
  surface: { running: 0.4, resting: 0.4, spread: 0.8, lag: 1800 },
};
