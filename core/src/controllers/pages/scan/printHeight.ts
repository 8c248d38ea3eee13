import { quantile } from '../../../foundation/statistics/index.ts';
import type { Ink } from './picture.ts';

/** Of letters and figures a little more than half are small: this share of the pieces is no taller than a small letter. */
const SMALL_LETTERS = 0.6;

/**
 * Height of the print, pixels: the height that six in ten pieces of ink which hang together do not exceed, specks and rulings left aside. 0 where there is none.
 */
export function printHeight({ width, height, ink }: Ink): number {
  const seen = new Uint8Array(ink.length);
  const heights: number[] = [];
  const stack: number[] = [];
  const visit = (at: number) => {
    if (at < 0 || at >= ink.length || !ink[at] || seen[at]) return;
    seen[at] = 1;
    stack.push(at);
  };
  for (let start = 0; start < ink.length; start++) {
    if (!ink[start] || seen[start]) continue;
    let top = height;
    let bottom = 0;
    let left = width;
    let right = 0;
    visit(start);
    while (stack.length > 0) {
      const at = stack.pop()!;
      const x = at % width;
      const y = (at - x) / width;
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
      left = Math.min(left, x);
      right = Math.max(right, x);
      if (x > 0) visit(at - 1);
      if (x < width - 1) visit(at + 1);
      visit(at - width);
      visit(at + width);
    }
    const [tall, wide] = [bottom - top + 1, right - left + 1];
    if (tall >= 4 && tall < height / 4 && wide < 6 * tall) heights.push(tall);
  }
  return heights.length === 0 ? 0 : quantile(heights, SMALL_LETTERS);
}
