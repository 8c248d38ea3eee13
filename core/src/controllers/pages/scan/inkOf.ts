import type { Ink, Picture } from './picture.ts';

/** Ink is darker than the paper around it by this share. */
const DARKER = 0.15;
/** The paper around a place: a square of this share of the longer side. */
const AROUND = 1 / 24;

/**
 * Tells ink from paper by what is around: a shadow across a photograph darkens both alike. Each pixel is held against the mean of a square around it (Bradley and Roth, Adaptive
 * thresholding using the integral image, 2007). Light print on a dark ground comes out as its own edge, not as ink.
 */
export function inkOf({ width, height, grey }: Picture): Ink {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += grey[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  const half = Math.max(4, Math.round((Math.max(width, height) * AROUND) / 2));
  const ink = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const top = Math.max(0, y - half);
    const bottom = Math.min(height, y + half + 1);
    for (let x = 0; x < width; x++) {
      const left = Math.max(0, x - half);
      const right = Math.min(width, x + half + 1);
      const sum =
        sums[bottom * (width + 1) + right]! -
        sums[top * (width + 1) + right]! -
        sums[bottom * (width + 1) + left]! +
        sums[top * (width + 1) + left]!;
      const mean = sum / ((bottom - top) * (right - left));
      if (grey[y * width + x]! < mean * (1 - DARKER)) ink[y * width + x] = 1;
    }
  }
  return { width, height, ink };
}
