import { lagOf, usualOfKind, type InstrumentReading } from './instruments.ts';

/** What the box does while it is read. */
export interface Moment {
  readonly instruments: readonly (InstrumentReading & {
    /** Seconds since it was put there; null: it has long been there. */
    readonly inPlace: number | null;
  })[];
  /** The defrost runs or drips, or the fans wait after it. */
  readonly inDefrost: boolean;
  /** Cut-out and cut-in as the display has them, °C; null where nothing regulates. */
  readonly band: { readonly low: number; readonly high: number } | null;
  /** From start to start, s; null where nobody knows. */
  readonly period: number | null;
}

/** Why readings cannot be compared yet, and for how long. */
export interface NotYet {
  readonly why: 'inDefrost' | 'stillMoving' | 'notSettled';
  /** s; null: until the display has cut out once. */
  readonly wait: number | null;
  /** The instrument that is not settled. */
  readonly id: string | null;
}

/** Difference that an instrument comes with from hand, pocket or van, K (common practice: a warm hand, a cold box). */
const BROUGHT_K = 25;
/** What may be left of it, K. */
const LEFT_K = 0.2;
/** A display this far outside of the band is of a box that is still being pulled down, as a share of the band, and K. */
const OUTSIDE = 0.5;
const OUTSIDE_K = 1;
/** Nothing that is held in a hand settles faster, s. */
const LEAST_LAG_S = 20;

/** How long an instrument must be in its place until what it came with is gone: e^(−t/τ) of the difference, s. */
export const settlesIn = (one: InstrumentReading): number =>
  Math.max(lagOf(one), LEAST_LAG_S) * Math.log(BROUGHT_K / LEFT_K);

/** Why it is no moment to compare, the longest wait first; null: readings may be compared. */
export function notYet({ instruments, inDefrost, band, period }: Moment): NotYet | null {
  if (inDefrost) return { why: 'inDefrost', wait: period === null ? null : 2 * period, id: null };
  const display = instruments.find(({ kind }) => kind === 'display');
  if (band && display) {
    const margin = Math.max(OUTSIDE_K, OUTSIDE * (band.high - band.low));
    if (display.reads > band.high + margin || display.reads < band.low - margin)
      return { why: 'stillMoving', wait: null, id: display.id };
  }
  const waits = instruments
    .flatMap((one) => {
      const left = one.inPlace === null ? 0 : settlesIn(one) - one.inPlace;
      return left > 0 ? [{ why: 'notSettled' as const, wait: Math.ceil(left), id: one.id }] : [];
    })
    .toSorted((a, b) => b.wait - a.wait);
  return waits[0] ?? null;
}

/** Whether two that differ may be compared for an offset at once: at one place, both as quick, so that the swing of the cycle is the same in both; else a whole cycle is averaged. */
export function offsetAtOnce(a: InstrumentReading, b: InstrumentReading, period: number | null): boolean {
  const quick = Math.max(lagOf(a), lagOf(b));
  return a.place === b.place && (period === null || quick < period / 20);
}

export const instrumentName = ({ kind }: InstrumentReading): string => usualOfKind[kind].name;
