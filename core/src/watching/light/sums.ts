import type { Light } from './light.ts';

/** Sums of light over every rectangle from the upper left corner, so that any rectangle's mean takes four looks (Crow 1984): a row and a column more than the picture has. */
export interface Sums {
  readonly width: number;
  readonly height: number;
  readonly data: Float64Array;
}

export function sumsOf({ width, height, data }: Light): Sums {
  const row = width + 1;
  const sums = new Float64Array(row * (height + 1));
  for (let y = 0; y < height; y += 1) {
    let along = 0;
    for (let x = 0; x < width; x += 1) {
      along += data[y * width + x]!;
      sums[(y + 1) * row + x + 1] = sums[y * row + x + 1]! + along;
    }
  }
  return { width, height, data: sums };
}
