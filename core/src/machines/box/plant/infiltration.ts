import { GRAVITY } from '../../../foundation/limits/index.ts';
import { airDensity } from './moistAir.ts';

/** A doorway: width and height in metres, and how much of the ideal flow passes (strip curtains less). */
export interface Doorway {
  readonly width: number;
  readonly height: number;
  readonly share: number;
}

/**
 * Air exchanged through an open door by buoyancy, kg/s of dry air in either direction. Gosney and Olama 1975 as printed in the ASHRAE Handbook,
 * Refrigeration ("Infiltration by air exchange"): 0.221 · A · √(g·H) · √(1 − ρw/ρc) · Fm, with Fm = (2/(1 + (ρc/ρw)^⅓))^1.5; equation from memory.
 * Running fans make it worse by a quarter (common practice).
 */
export function doorFlow(
  door: Doorway,
  inside: readonly [number, number],
  outside: readonly [number, number],
  fan: boolean,
): number {
  const [a, b] = [airDensity(...inside), airDensity(...outside)];
  const [cold, warm] = a > b ? [a, b] : [b, a];
  if (cold - warm < 1e-9) return 0;
  const factor = (2 / (1 + Math.cbrt(cold / warm))) ** 1.5;
  const volume =
    0.221 * door.width * door.height * Math.sqrt(GRAVITY * door.height) * Math.sqrt(1 - warm / cold) * factor;
  return volume * cold * door.share * (fan ? 1.25 : 1);
}
