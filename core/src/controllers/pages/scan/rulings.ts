import type { Ink } from './picture.ts';

/** A stroke is a ruling where it is longer than so many heights of a line of print. */
const LONGER = 3;
/** A gap in a ruling, and the wandering of one, pixels. */
const MAY_MISS = 2;

/**
 * Takes out the rulings of a table: strokes along or across the page that are longer than any letter. Letters that touch a ruling lose a stroke's thickness, no more. A reader of
 * letters takes rulings for bars, ones and brackets.
 */
export function withoutRulings({ width, height, ink }: Ink, lineHeight: number): Ink {
  const least = Math.max(20, Math.round(LONGER * lineHeight));
  const out = ink.slice();
  strokes(width, height, 1, width, least, ink, out);
  strokes(height, width, width, 1, least, ink, out);
  return { width, height, ink: out };
}

/** Clears strokes along one direction: `length` places a line `step` apart, `lines` lines `pitch` apart. */
function strokes(
  length: number,
  lines: number,
  step: number,
  pitch: number,
  least: number,
  ink: Uint8Array,
  out: Uint8Array,
): void {
  for (let line = 0; line < lines; line++) {
    let from = -1;
    let last = -1;
    for (let i = 0; i <= length; i++) {
      const on = i < length && ink[line * pitch + i * step] === 1;
      if (on) {
        if (from < 0) from = i;
        last = i;
      } else if (from >= 0 && (i === length || i - last > MAY_MISS)) {
        if (last - from + 1 >= least)
          for (let at = from; at <= last; at++)
            for (let side = -1; side <= 1; side++)
              if (line + side >= 0 && line + side < lines) out[(line + side) * pitch + at * step] = 0;
        from = -1;
      }
    }
  }
}
