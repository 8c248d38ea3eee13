import type { Digit } from '../characters/index.ts';
import type { DigitLevels, SegmentLevel, Standing } from './levels.ts';

/** What each digit shows, where all of it is sure; else why it is not. */
export type Decided =
  | { readonly ok: true; readonly digits: readonly Digit[]; readonly level: number; readonly margin: number }
  | { readonly ok: false; readonly why: 'dark' | 'glare' | 'unsure'; readonly level: number };

/** A segment that is lit stands out by this share of the display's own level, all along; one that is dark nowhere by more than the other. Ours; tuned on drawn displays. */
const LIT = { mean: 0.55, least: 0.42 } as const;
const DARK = 0.34;
/** A digit whose strongest segment is below this share is dark, one between it and `DIGIT_LIT` is caught while it changes. */
const DIGIT_DARK = 0.22;
const DIGIT_LIT = 0.45;
/** Less light than this a display does not give, or it is too far. */
const FAINTEST = 0.02;
/** Where the dark beside a segment leaves less than this share of the level to be seen, glare lies over it. */
const GLARE = 0.5;
/** Nearer to a limit than this, nothing is taken for sure. */
const SUREST = 0.04;
/** A small point out of focus is fainter than a segment: only where there is next to nothing it is dark. */
const POINT = { lit: 0.4, dark: 0.16 } as const;

/** How much the brightest segments stand out; the second, since one alone may be something else. */
export function levelOf(segments: readonly Standing[]): number {
  let [first, second] = [0, 0];
  for (const { mean } of segments)
    if (mean > first) [first, second] = [mean, first];
    else if (mean > second) second = mean;
  return second > first / 3 ? second : first;
}

export function decide(levels: readonly DigitLevels[]): Decided {
  const level = levelOf(levels.flatMap(({ segments }) => segments));
  if (level < FAINTEST) return { ok: false, why: 'dark', level };
  let margin = Infinity;
  const digits: Digit[] = [];
  for (const { segments, point, pointRoom, pointAtEdge } of levels) {
    const strongest = Math.max(...segments.map((segment) => segment.mean));
    const own = strongest / level;
    if (own > DIGIT_DARK && own < DIGIT_LIT) return { ok: false, why: 'unsure', level };
    // A digit in the shade of a tilted display, or caught by the shutter, is as sure as its own light.
    const reference = own < DIGIT_DARK ? level : Math.min(level, strongest);
    let pattern = 0;
    for (const [i, segment] of segments.entries()) {
      const lit = litness(segment, reference);
      if (lit === null)
        return { ok: false, why: segment.room < reference * GLARE ? 'glare' : 'unsure', level };
      if (lit.is) pattern |= 1 << i;
      margin = Math.min(margin, lit.margin);
    }
    const pointShare = point / Math.min(level, pointRoom);
    if (pointRoom < level * GLARE) return { ok: false, why: 'glare', level };
    if (pointShare > POINT.dark && (pointShare < POINT.lit || pointAtEdge))
      return { ok: false, why: 'unsure', level };
    digits.push({ pattern, point: pointShare >= POINT.lit });
  }
  return margin < SUREST ? { ok: false, why: 'unsure', level } : { ok: true, digits, level, margin };
}

/** Which segments of a digit are surely lit against the display's level, and whether any may be. */
export function litOf(
  { segments }: DigitLevels,
  level: number,
): { readonly lit: number; readonly unsure: boolean } {
  let [lit, unsure] = [0, false];
  segments.forEach((segment, i) => {
    const is = litness(segment, level);
    if (is === null) unsure = true;
    else if (is.is) lit |= 1 << i;
  });
  return { lit, unsure };
}

function litness(
  segment: SegmentLevel,
  reference: number,
): { readonly is: boolean; readonly margin: number } | null {
  const expected = Math.min(reference, segment.room);
  if (segment.room < reference * GLARE) return null;
  const [mean, least, most] = [segment.mean / expected, segment.least / expected, segment.most / expected];
  if (mean > LIT.mean && least > LIT.least)
    return { is: true, margin: Math.min(mean - LIT.mean, least - LIT.least) };
  if (most < DARK) return { is: false, margin: DARK - most };
  return null;
}
