import type { Demand } from './demand.ts';

/** Contactor frames of the trade by amps per pole (common practice); the coil takes about 8 VA. */
const frames = [20, 25, 30, 40, 50, 60] as const;
export const COIL_VA = 8;

/** The contactor frame for a demand, with a quarter in hand. */
export function contactorFrame(demand: Demand): number {
  return frames.find((frame) => frame >= demand.amps * 1.25) ?? frames.at(-1)!;
}
