import type { Digit } from '../characters/index.ts';
import type { Seen } from '../display/index.ts';

/** One picture of the course: when it was taken, in seconds, and what it shows; where it was read over several, since when those are. */
export interface Frame {
  readonly at: number;
  readonly from: number;
  readonly seen: Seen;
}

/** Pictures so far back are held against each other, and at least so many: a slow device has fewer in a second. */
const WINDOW = { seconds: 1.2, pictures: 5 } as const;
/** Where those that were read last are alike for so long, in seconds, they are enough, whatever could not be read between them. */
const ALIKE_FOR = 0.35;
/** A text stands once so many pictures, and this share of those that were read, show all of it. */
const WHOLE = { pictures: 3, share: 0.2 } as const;
/** More pictures than this share that are not read, and nothing is sure. */
const UNREAD = 0.5;

/**
 * The text that the last pictures agree on at a moment, or null. A display that is lit digit by digit, or whose supply flickers, is dark in parts on
 * some pictures: those show a part of the text and nothing else, so that the text is the one that holds all the others. A text that changes leaves
 * pictures that hold segments which the new one does not; it stands when the last pictures are all alike, or the others are out of the window.
 */
export function agreedText(frames: readonly Frame[], at: number): string | null {
  const near = lastOf(frames, at);
  const told = near.filter(({ seen }) => seen.kind !== 'notRead');
  const newest = told.at(-1)?.seen;
  if (newest?.kind === 'read') {
    const other = told.findLastIndex(({ seen }) => seen.kind !== 'read' || seen.text !== newest.text);
    const alike = told.slice(other + 1);
    const more = digitsIn(near).some(
      (digits) => !within(digits, newest.digits) && within(newest.digits, digits),
    );
    if (!more && alike.length >= WHOLE.pictures && at - alike[0]!.at > ALIKE_FOR) return newest.text;
  }
  const read = near.flatMap(({ seen }) => (seen.kind === 'read' ? [seen] : []));
  const all = digitsIn(near);
  const lit = near.filter(({ seen }) => seen.kind !== 'notRead' || seen.why !== 'dark').length;
  if (read.length < WHOLE.pictures || all.length < (1 - UNREAD) * lit) return null;
  const whole = read.reduce((most, one) => (litCount(one.digits) > litCount(most.digits) ? one : most));
  const same = read.filter((one) => one.text === whole.text).length;
  if (same < WHOLE.pictures || same < WHOLE.share * all.length) return null;
  return all.every((digits) => within(digits, whole.digits)) ? whole.text : null;
}

const lastOf = (frames: readonly Frame[], at: number): readonly Frame[] => {
  const first = frames.findIndex((frame) => frame.at > at - WINDOW.seconds);
  return frames.slice(Math.max(0, Math.min(first < 0 ? Infinity : first, frames.length - WINDOW.pictures)));
};

const digitsIn = (frames: readonly Frame[]): readonly (readonly Digit[])[] =>
  frames.flatMap(({ seen }) => (seen.kind === 'notRead' ? [] : [seen.digits]));

/** How many segments and points are lit. */
export const litCount = (digits: readonly Digit[]): number =>
  digits.reduce(
    (sum, { pattern, point }) => sum + pattern.toString(2).replaceAll('0', '').length + (point ? 1 : 0),
    0,
  );

/** Whether nothing is lit in one that is dark in the other; digits are counted from the right, as numbers stand. */
export function within(part: readonly Digit[], whole: readonly Digit[]): boolean {
  const dark: Digit = { pattern: 0, point: false };
  for (let back = 1; back <= Math.max(part.length, whole.length); back += 1) {
    const [one, other] = [part.at(-back) ?? dark, whole.at(-back) ?? dark];
    if ((one.pattern & ~other.pattern) !== 0 || (one.point && !other.point)) return false;
  }
  return true;
}
