import type { Ink } from './picture.ts';

/**
 * Height of the print, pixels: the median height of the pieces of ink that hang together, specks and rulings left aside. 0 where there is none.
 */
export function printHeight({ width, height, ink }: Ink): number {
  const seen = new Uint8Array(ink.length);
  const heights: number[] = [];
  const stack: number[] = [];
  for (let start = 0; start < ink.length; start++) {
    if (!ink[start] || seen[start]) continue;
    let [top, bottom, left, right] = [height, 0, width, 0];
    stack.push(start);
    seen[start] = 1;
    while (stack.length > 0) {
      const at = stack.pop()!;
      const x = at % width;
      const y = (at - x) / width;
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
      left = Math.min(left, x);
      right = Math.max(right, x);
      for (const next of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width])
        if (next >= 0 && next < ink.length && ink[next] && !seen[next]) {
          seen[next] = 1;
          stack.push(next);
        }
    }
    const [tall, wide] = [bottom - top + 1, right - left + 1];
    if (tall >= 4 && tall < height / 4 && wide < 6 * tall) heights.push(tall);
  }
  heights.sort((a, b) => a - b);
  return heights[Math.floor(heights.length * 0.6)] ?? 0;
}
