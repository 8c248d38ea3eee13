import { inkOf } from './inkOf.ts';
import { slantOf, turned } from './level.ts';
import { scaled } from './parts.ts';
import type { Picture } from './picture.ts';
import { printHeight } from './printHeight.ts';
import { withoutRulings } from './rulings.ts';

/** A page made ready for a reader of letters. */
export interface Prepared {
  /** The page set level, as a person looks at it. */
  readonly level: Picture;
  /** The same without rulings, on white, enlarged until the print is large enough. */
  readonly clean: Picture;
  /** How much `clean` is larger than `level`. */
  readonly scale: number;
}

/** Height of print at which letters are read best, pixels (measured with tables of this project: below 20 ones and zeros are lost, above 45 nothing is gained). */
const BEST_HEIGHT = 36;
const MOST_ENLARGED = 4;
/** Strokes are held against lines of this many heights of print. */
const LINE = 1.6;

/**
 * Sets a page level, takes out the rulings of its tables and enlarges small print. Null where there is nothing on the page that looks like print.
 */
export function prepare(picture: Picture): Prepared | null {
  const slant = slantOf(inkOf(picture));
  const level = turned(picture, -slant);
  const ink = inkOf(level);
  const height = printHeight(ink);
  if (height === 0) return null;
  const kept = withoutRulings(ink, LINE * height);
  const grey = level.grey.slice();
  for (let i = 0; i < grey.length; i++) if (ink.ink[i] && !kept.ink[i]) grey[i] = 255;
  const scale = Math.min(MOST_ENLARGED, Math.max(1, BEST_HEIGHT / height));
  return { level, clean: scaled({ ...level, grey }, scale), scale };
}
