import type { MeterUnit } from './place.ts';

/** Ohms above which a meter says open; two opens are alike. */
export const OPEN_LINE = 1e6;

/**
 * How far a reading may lie from what is expected: 3 % or 1 V, 5 % or 0.05 A, whichever is more (the format); in ohms 5 % or 0.5 Ω (common
 * practice: leads and contact resistance).
 */
export function tolerance(unit: MeterUnit, expected: number): number {
  if (unit === 'V') return Math.max(0.03 * expected, 1);
  if (unit === 'A') return Math.max(0.05 * expected, 0.05);
  return Math.max(0.05 * expected, 0.5);
}

/** Distance of a reading from an expectation in tolerances; 1 is the edge. */
export function misfitOf(unit: MeterUnit, expected: number, read: number): number {
  if (!Number.isFinite(expected) && !(unit === 'ohm' && expected === Infinity)) return UNKNOWN;
  if (unit === 'ohm') {
    if (expected >= OPEN_LINE && read >= OPEN_LINE) return 0;
    if (expected >= OPEN_LINE || read >= OPEN_LINE) return UNKNOWN;
  }
  return Math.abs(expected - read) / tolerance(unit, expected);
}

/** Misfit given to a state that never comes to rest, and to open against closed. */
const UNKNOWN = 100;
