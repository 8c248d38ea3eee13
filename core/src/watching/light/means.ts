import type { Light } from './light.ts';
import { sumsOf } from './sums.ts';

/** The mean light around each point, `side` points to each side and itself; at an edge of what is there. Written out, since it is taken for every point of every picture. */
export function meansAround(light: Light, side: number): Float32Array {
  const { width, height } = light;
  const { data: sums } = sumsOf(light);
  const row = width + 1;
  const means = new Float32Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const above = Math.max(0, y - side) * row;
    const below = Math.min(height, y + side + 1) * row;
    for (let x = 0; x < width; x += 1) {
      const left = Math.max(0, x - side);
      const right = Math.min(width, x + side + 1);
      const sum = sums[below + right]! - sums[above + right]! - sums[below + left]! + sums[above + left]!;
      means[y * width + x] = (sum * row) / ((right - left) * (below - above));
    }
  }
  return means;
}

/** A picture out of focus: each point is the mean of those up to `reach` points to each side. A thin line is found from further off on it. */
export function softened(light: Light, reach: number): Light {
  const side = Math.round(reach);
  return side < 1 ? light : { ...light, data: meansAround(light, side) };
}
