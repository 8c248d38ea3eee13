/** How the air around a control's probe swings while it runs and rests: between two turning points, evenly down and evenly up. */
export interface Cycle {
  /** Cut-out and cut-in as the control itself reads them, °C. */
  readonly low: number;
  readonly high: number;
  /** From start to start, s. */
  readonly period: number;
  /** Of it the machine runs this share. */
  readonly runShare: number;
}

/** One phase of a cycle: 0 at the start of the machine, 1 at the next start. */
export interface Phase {
  readonly at: number;
  readonly running: boolean;
}

/** Air that falls evenly from 1 to −1 while the machine runs and rises again while it rests. */
const airAt = (at: number, runShare: number): number =>
  at < runShare ? 1 - (2 * at) / runShare : -1 + (2 * (at - runShare)) / (1 - runShare);

/**
 * What an instrument with a time constant reads at a phase of a cycle that has gone on for long, for air that swings by ±1: the first-order answer to a falling and a rising line, closed by its own period.
 *
 * @param at phase, 0 to 1 from start to start
 * @param lag time constant, s; 0: the air itself
 */
export function swingAt({ period, runShare }: Cycle, at: number, lag: number): number {
  if (lag <= 0) return airAt(at, runShare);
  const [down, up] = [runShare * period, (1 - runShare) * period];
  // On a line a + b·t the answer is a + b·(t − lag) + C·e^(−t/lag); C of both lines from the two ends at which they meet.
  const [slopeDown, slopeUp] = [-2 / down, 2 / up];
  const [fadeDown, fadeUp] = [Math.exp(-down / lag), Math.exp(-up / lag)];
  // At the start it reads s0, at the stop s1: s1 = f(s0), s0 = g(s1), both straight.
  const stopOf = (start: number) => -1 - slopeDown * lag + (start - 1 + slopeDown * lag) * fadeDown;
  const startOf = (stop: number) => 1 - slopeUp * lag + (stop + 1 + slopeUp * lag) * fadeUp;
  const free = startOf(stopOf(0));
  const start = free / (1 - fadeDown * fadeUp);
  if (at < runShare) {
    const t = at * period;
    return 1 + slopeDown * (t - lag) + (start - 1 + slopeDown * lag) * Math.exp(-t / lag);
  }
  const t = (at - runShare) * period;
  return -1 + slopeUp * (t - lag) + (stopOf(start) + 1 + slopeUp * lag) * Math.exp(-t / lag);
}

/** Half of the swing that an instrument of some lag sees, for air that swings by ±1. */
export function swingOf(cycle: Cycle, lag: number): number {
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < 200; i += 1) {
    const value = swingAt(cycle, i / 200, lag);
    least = Math.min(least, value);
    most = Math.max(most, value);
  }
  return (most - least) / 2;
}
