import type { Ink } from './picture.ts';

/**
 * Height of the print, pixels: the median height of the pieces of ink that hang together, specks and rulings left aside. 0 where there is none.
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
  heights.sort((a, b) => a - b);
  return heights[Math.floor(heights.length * 0.6)] ?? 0;
}
