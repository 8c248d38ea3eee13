/**
 * A plant of one lag, for checks against the closed form: τ·dT/dt = T∞ − T, with one T∞ while the compressor runs and one while it rests. Exact over a
 * step, so that what differs from the closed form is the tick alone.
 */
export interface FirstOrder {
  readonly tau: number;
  readonly running: number;
  readonly resting: number;
}

/** The temperature after `dt` seconds. */
export function stepFirstOrder(p: FirstOrder, temperature: number, running: boolean, dt: number): number {
  const towards = running ? p.running : p.resting;
  return towards + (temperature - towards) * Math.exp(-dt / p.tau);
}
