import type { Predicted } from './predicted.ts';

/** A reading taken during the pull-down. */
export interface PullDownReading {
  readonly minutes: number;
  readonly celsius: number;
}

/** How a pull-down goes against its prediction. */
export interface PullDownState {
  readonly verdict: 'inside' | 'slower' | 'quicker' | 'none';
  /** Minutes from the start until cut-out, by the readings so far; null while it cannot be told. */
  readonly expectedMinutes: number | null;
  readonly words: string;
}

/** A reading counts as outside the band from this on, K. */
const ROOM_K = 1;

/**
 * Holds readings against the predicted band. The expected time stretches the likely curve so that it passes through the last reading: a box that was at a
 * temperature after 40 min where the curve is there after 30 will take 4/3 of the time.
 */
export function pullDownState(predicted: Predicted, readings: readonly PullDownReading[]): PullDownState {
  const last = readings.toSorted((a, b) => a.minutes - b.minutes).at(-1);
  const likely = predicted.minutesToCutOut.likely;
  if (!last || last.minutes <= 0)
    return { verdict: 'none', expectedMinutes: likely, words: 'No reading yet.' };
  const band = at(predicted, last.minutes);
  const verdict =
    last.celsius > band.slow + ROOM_K ? 'slower' : last.celsius < band.quick - ROOM_K ? 'quicker' : 'inside';
  const same = predicted.curve.find((p) => p.likely <= last.celsius);
  const stretch = same && same.minutes > 0 ? last.minutes / same.minutes : null;
  const expectedMinutes =
    likely !== null && stretch !== null ? Math.max(last.minutes, likely * stretch) : null;
  const words = {
    inside: 'It comes down as predicted.',
    slower:
      'It comes down slower than the slowest box predicted: look at charge, condenser, fans and door before you go.',
    quicker: 'It comes down quicker than predicted: an empty box, or the probe in the supply air.',
  }[verdict];
  return { verdict, expectedMinutes, words };
}

/** The band at a time, between its points. */
function at({ curve }: Predicted, minutes: number): { readonly slow: number; readonly quick: number } {
  const next = curve.findIndex((p) => p.minutes >= minutes);
  if (next <= 0) return curve[next < 0 ? curve.length - 1 : 0]!;
  const [a, b] = [curve[next - 1]!, curve[next]!];
  const share = (minutes - a.minutes) / (b.minutes - a.minutes);
  return { slow: a.slow + share * (b.slow - a.slow), quick: a.quick + share * (b.quick - a.quick) };
}
