import type { ErrorModel } from './errors.ts';
import type { InstrumentReading } from './instruments.ts';

/** A check that decides: ice water for one, or two side by side. */
export type Check =
  | { readonly kind: 'iceWater'; readonly of: string }
  | { readonly kind: 'sideBySide'; readonly of: string; readonly beside: string };

/** A check with its result: by how much it reads too warm, against ice water or against the other, K. */
export type MadeCheck = Check & { readonly found: number };

/** What ice water and two probes tied together are good for, K (common practice). */
export const CHECK_K = 0.15;
/** One way in which the readings can have come about, and its share of what is believed. */
export interface Share {
  /** Index of the one that is wrong; −1: none. */
  readonly wrong: number;
  readonly model: ErrorModel;
  readonly share: number;
}

/** The check that tells most, with how likely the right one is named after it. */
export interface BestCheck {
  readonly check: Check;
  readonly sureAfter: number;
}

/** A gun reads a surface: it cannot be tied to another, but it can be aimed at ice water. */
function checksOf(instruments: readonly InstrumentReading[]): readonly Check[] {
  const tied = instruments.filter(({ kind }) => kind !== 'gun');
  return [
    ...instruments.map(({ id }): Check => ({ kind: 'iceWater', of: id })),
    ...tied.flatMap((a, i) =>
      tied.slice(i + 1).map((b): Check => ({ kind: 'sideBySide', of: a.id, beside: b.id })),
    ),
  ];
}

/** What of each instrument's error a check measures. */
export const weightsOf = (check: Check, instruments: readonly InstrumentReading[]): readonly number[] =>
  instruments.map(({ id }) =>
    id === check.of ? 1 : check.kind === 'sideBySide' && id === check.beside ? -1 : 0,
  );

/** Points at which the outcomes of a check are looked at, over four standard deviations to each side. */
const OUTCOMES = 61;

/** The check after which the right one is named most often: the mean, over what it may find, of the odds of the likeliest. */
export function bestCheck(
  instruments: readonly InstrumentReading[],
  made: readonly MadeCheck[],
  shares: readonly Share[],
): BestCheck | null {
  const known = new Set(made.map((one) => JSON.stringify(weightsOf(one, instruments))));
  const rated = checksOf(instruments)
    .filter((check) => !known.has(JSON.stringify(weightsOf(check, instruments))))
    .map((check) => ({ check, sureAfter: sureAfter(weightsOf(check, instruments), shares) }))
    .toSorted((a, b) => b.sureAfter - a.sureAfter);
  return rated[0] ?? null;
}

function sureAfter(weights: readonly number[], shares: readonly Share[]): number {
  const seen = shares
    .filter(({ share }) => share > 1e-4)
    .map(({ wrong, model, share }) => ({ wrong, share, ...model.expects(weights, CHECK_K) }));
  const low = Math.min(...seen.map(({ mean, spread }) => mean - 4 * spread));
  const high = Math.max(...seen.map(({ mean, spread }) => mean + 4 * spread));
  const step = (high - low) / (OUTCOMES - 1);
  let sure = 0;
  for (let i = 0; i < OUTCOMES; i += 1) {
    const found = low + i * step;
    const odds = new Map<number, number>();
    for (const { wrong, share, mean, spread } of seen) {
      const density = Math.exp(-0.5 * ((found - mean) / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));
      odds.set(wrong, (odds.get(wrong) ?? 0) + share * density);
    }
    sure += Math.max(...odds.values()) * step;
  }
  return Math.min(1, sure);
}
