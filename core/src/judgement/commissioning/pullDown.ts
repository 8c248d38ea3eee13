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
  /** Half of the range about it that holds it four times out of five, minutes; null where nothing is expected. */
  readonly plusMinus: number | null;
  readonly words: string;
}

/** A reading counts as outside the band from this on, K. */
const ROOM_K = 1;

/** Holds readings against the predicted band, and says when cut-out is reached by them. */
export function pullDownState(predicted: Predicted, readings: readonly PullDownReading[]): PullDownState {
  const inOrder = readings.toSorted((a, b) => a.minutes - b.minutes);
  const last = inOrder.at(-1);
  const reached = reachedBy(predicted, inOrder);
  if (!last || last.minutes <= 0) return { verdict: 'none', ...reached, words: 'No reading yet.' };
  const band = at(predicted, last.minutes);
  const verdict =
    last.celsius > band.slow + ROOM_K ? 'slower' : last.celsius < band.quick - ROOM_K ? 'quicker' : 'inside';
  const words = {
    inside: 'It comes down as predicted.',
    slower:
      'It comes down slower than the slowest box predicted: look at charge, condenser, fans and door before you go.',
    quicker: 'It comes down quicker than predicted: an empty box, or the probe in the supply air.',
  }[verdict];
  return { verdict, ...reached, words };
}

/** What is left of a pull-down: how many times as long as the likely box it takes, and the minutes from now to cut-out, with the range that holds them four times out of five. */
export interface RestOfPullDown {
  readonly pace: number;
  readonly early: number;
  readonly likely: number;
  readonly late: number;
}

/** What is overdue takes this share of the whole still. Ours. */
const OVERDUE = 0.05;

/** The rest of a pull-down that has run for so many minutes, by the same reckoning as its state; null where no cut-out is expected. */
export function restOfPullDown(
  predicted: Predicted,
  readings: readonly PullDownReading[],
  elapsed: number,
): RestOfPullDown | null {
  const { expectedMinutes, plusMinus } = pullDownState(predicted, readings);
  const { likely } = predicted.minutesToCutOut;
  if (expectedMinutes === null || plusMinus === null || !likely) return null;
  const left = (whole: number) => Math.max(whole - elapsed, OVERDUE * expectedMinutes);
  return {
    pace: expectedMinutes / likely,
    early: Math.max(0, expectedMinutes - plusMinus - elapsed),
    likely: left(expectedMinutes),
    late: left(expectedMinutes + plusMinus),
  };
}

/** Two-sided 80 % of a normal spread, standard errors. */
const EIGHTY = 1.2816;
/** Where slow and likely box do not tell: one standard error of how much longer a box takes, in logarithms. Ours. */
const USUAL_SPREAD = 0.35;
/** A display and a hand are sure to this, K (common practice). */
const READING_K = 0.5;
/** How a box strays from its curve over the whole of it, in logarithms of the time. Ours. */
const STRAYS = 0.15;

/**
 * When cut-out is reached. A box takes longer or shorter than the likely one by a factor: before a reading it is as unsure as the quick and the slow box lie apart; each reading
 * says where on the likely curve the air is, and so the factor, as surely as the air falls there. What was said long ago counts less, since the factor strays on the way
 * (a Kalman filter of one state: the logarithm of the factor, a random walk over the curve).
 */
function reachedBy(
  predicted: Predicted,
  inOrder: readonly PullDownReading[],
): Pick<PullDownState, 'expectedMinutes' | 'plusMinus'> {
  const { likely, slow } = predicted.minutesToCutOut;
  if (likely === null || likely <= 0) return { expectedMinutes: null, plusMinus: null };
  let factor = 0;
  let variance = (slow !== null && slow > likely ? Math.log(slow / likely) / EIGHTY : USUAL_SPREAD) ** 2;
  let passed = 0;
  for (const { minutes, celsius } of inOrder) {
    const place = placeOn(predicted, celsius);
    if (place === null || minutes <= 0) continue;
    variance += STRAYS ** 2 * Math.max(0, (place.minutes - passed) / likely);
    passed = Math.max(passed, place.minutes);
    const said = Math.log(minutes / place.minutes);
    const unsure = Math.max(0.03, READING_K / place.fall / place.minutes) ** 2;
    const gain = variance / (variance + unsure);
    factor += gain * (said - factor);
    variance *= 1 - gain;
  }
  variance += STRAYS ** 2 * Math.max(0, 1 - passed / likely);
  const expectedMinutes = Math.max(inOrder.at(-1)?.minutes ?? 0, likely * Math.exp(factor));
  return { expectedMinutes, plusMinus: EIGHTY * expectedMinutes * Math.sqrt(variance) };
}

/** Where on the likely curve the air has a temperature, and how it falls there, K a minute; null before the start and past the end. */
function placeOn(
  { curve }: Predicted,
  celsius: number,
): { readonly minutes: number; readonly fall: number } | null {
  const next = curve.findIndex((p) => p.likely <= celsius);
  if (next <= 0) return null;
  const [a, b] = [curve[next - 1]!, curve[next]!];
  const fall = (a.likely - b.likely) / (b.minutes - a.minutes);
  return { minutes: a.minutes + (a.likely - celsius) / fall, fall };
}

/** The band at a time, between its points. */
function at({ curve }: Predicted, minutes: number): { readonly slow: number; readonly quick: number } {
  const next = curve.findIndex((p) => p.minutes >= minutes);
  if (next <= 0) return curve[next < 0 ? curve.length - 1 : 0]!;
  const [a, b] = [curve[next - 1]!, curve[next]!];
  const share = (minutes - a.minutes) / (b.minutes - a.minutes);
  return { slow: a.slow + share * (b.slow - a.slow), quick: a.quick + share * (b.quick - a.quick) };
}
