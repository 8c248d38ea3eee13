import type { RegisterReading } from '../../controllers/definitions/index.ts';

/** What a controller told of its unit at once: °C, true or false, a phase; null where it is not there. */
export type Readings = Readonly<Partial<Record<RegisterReading, number | boolean | null>>>;

/** One look at a controller, at a moment in seconds; `readings` null: it did not answer. */
export interface FollowedPoint {
  readonly at: number;
  readonly readings: Readings | null;
}

/** Something measured, and how exactly it is known. */
export interface WithError {
  readonly value: number;
  readonly plusMinus: number;
}
