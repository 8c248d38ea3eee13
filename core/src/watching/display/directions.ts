import type { Light } from '../light/index.ts';

/** Which way the segments of a display run in a picture: unit vectors to the right along its level segments and down along its upright ones. */
export interface Directions {
  readonly right: readonly [number, number];
  readonly down: readonly [number, number];
}

/** How far a display may be turned, in degrees: its level segments, and its upright ones, which also lean. */
const TURNED = 28;
const LEANING = 40;
/** The histogram is smoothed over this many degrees. */
const SMOOTH = 3;

/**
 * The directions of a display from the edges of its segments: light changes most across a segment, so that the changes of light gather at two angles
 * (a histogram of gradient directions). `box` is what is looked at, in points.
 */
export function directionsOf(
  { width, height, data }: Light,
  box: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number },
): Directions {
  const bins = new Float64Array(180);
  const [fromX, toX] = [Math.max(1, Math.floor(box.left)), Math.min(width - 1, Math.ceil(box.right))];
  const [fromY, toY] = [Math.max(1, Math.floor(box.top)), Math.min(height - 1, Math.ceil(box.bottom))];
  for (let y = fromY; y < toY; y += 1)
    for (let x = fromX; x < toX; x += 1) {
      const at = y * width + x;
      const dx =
        2 * (data[at + 1]! - data[at - 1]!) +
        (data[at - width + 1]! - data[at - width - 1]!) +
        (data[at + width + 1]! - data[at + width - 1]!);
      const dy =
        2 * (data[at + width]! - data[at - width]!) +
        (data[at + width - 1]! - data[at - width - 1]!) +
        (data[at + width + 1]! - data[at - width + 1]!);
      const angle = ((Math.atan2(dy, dx) * 180) / Math.PI + 360) % 180;
      bins[Math.floor(angle) % 180]! += dx * dx + dy * dy;
    }
  const peak = (around: number, reach: number): number => {
    let [best, most] = [around, -1];
    for (let angle = around - reach; angle <= around + reach; angle += 0.5) {
      let sum = 0;
      for (let by = -2 * SMOOTH; by <= 2 * SMOOTH; by += 1) {
        const bin = (Math.round(angle) + by + 360) % 180;
        sum += bins[bin]! * Math.exp(-(by * by) / (2 * SMOOTH * SMOOTH));
      }
      if (sum > most) [best, most] = [angle, sum];
    }
    return best;
  };
  const level = ((peak(90, TURNED) - 90) * Math.PI) / 180;
  const upright = ((peak(0, LEANING) + 90) * Math.PI) / 180;
  return {
    right: [Math.cos(level), Math.sin(level)],
    down: [Math.cos(upright), Math.sin(upright)],
  };
}
