/** A time that something takes, s: it is over by then one time out of ten, as likely as not, and nine times out of ten. */
export interface Span {
  readonly early: number;
  readonly likely: number;
  readonly late: number;
}

/** A time that is kept by a clock. */
export const sure = (seconds: number): Span => ({ early: seconds, likely: seconds, late: seconds });

/** What hands do is done in about this share less, and more (ours). */
const HANDS = [0.75, 1.5] as const;

/** A time that somebody's hands take, about. */
export const byHand = (seconds: number): Span => ({
  early: HANDS[0] * seconds,
  likely: seconds,
  late: HANDS[1] * seconds,
});

/** Times in a quick, a likely and a slow box, in any order, at least so far apart as `least`, a share of the likely one. */
export function spread(
  likely: number,
  others: readonly number[],
  [less, more]: readonly [number, number],
): Span {
  return {
    early: Math.min((1 - less) * likely, ...others),
    likely,
    late: Math.max((1 + more) * likely, ...others),
  };
}

/**
 * Where within a span a share of all cases lies, s: a straight line through its tenth, half and nine tenths, on to its ends. `share` 0 to 1.
 */
export function atShare({ early, likely, late }: Span, share: number): number {
  const at =
    share < 0.5
      ? likely - ((likely - early) * (0.5 - share)) / 0.4
      : likely + ((late - likely) * (share - 0.5)) / 0.4;
  return Math.max(0, at);
}
