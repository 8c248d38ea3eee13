import { lightAt, type Light } from '../light/index.ts';
import type { Blob } from './blobs.ts';
import type { Directions } from './directions.ts';

/** Height to which a row of light is drawn upright and level, in points. */
const UPRIGHT = 36;

/** A row of light drawn upright and level: how it lies in the picture, and from where to where it is lit. */
export interface Row {
  readonly picture: Light;
  readonly from: (x: number, y: number) => readonly [number, number];
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Rows of light of a group once it is level: what is far above or below the digits is another row. */
export function rowsOf(
  light: Light,
  lit: Uint8Array,
  group: readonly Blob[],
  { right, down }: Directions,
): readonly Row[] {
  const across = right[0] * down[1] - right[1] * down[0];
  /** A point of the picture along both directions. */
  const level = (x: number, y: number) =>
    [(x * down[1] - y * down[0]) / across, (y * right[0] - x * right[1]) / across] as const;
  const points: (readonly [number, number])[] = [];
  for (const blob of group)
    for (let y = blob.top; y < blob.bottom; y += 1)
      for (let x = blob.left; x < blob.right; x += 1)
        if (lit[y * light.width + x]) points.push(level(x + 0.5, y + 0.5));
  const tops = points.map(([, y]) => y);
  let [highest, lowest] = [Infinity, -Infinity];
  for (const y of tops) [highest, lowest] = [Math.min(highest, y), Math.max(lowest, y)];
  const bins = new Uint32Array(Math.ceil(lowest - highest) + 2);
  for (const y of tops) bins[Math.floor(y - highest)]! += 1;
  const runs: { from: number; to: number }[] = [];
  for (let i = 0; i < bins.length; i += 1)
    if (bins[i]! > 0) {
      const last = runs.at(-1);
      // Middle segments apart from upright ones leave a dark line or two.
      if (last && i - last.to <= Math.max(2, (lowest - highest) * 0.04)) last.to = i + 1;
      else runs.push({ from: i, to: i + 1 });
    }
  const whole = { from: 0, to: bins.length - 1 };
  const wanted = runs.filter(({ from, to }) => to - from >= 7);
  const all =
    wanted.length === 1 && wanted[0]!.to - wanted[0]!.from > 0.95 * (whole.to - whole.from)
      ? wanted
      : [...wanted, whole];
  return all.map(({ from, to }) => {
    const [top, bottom] = [highest + from, highest + to];
    const scale = UPRIGHT / (bottom - top);
    let [left, end] = [Infinity, -Infinity];
    for (const [x, y] of points)
      if (y >= top && y <= bottom) {
        left = Math.min(left, x);
        end = Math.max(end, x);
      }
    const edge = UPRIGHT;
    const width = Math.min(12 * UPRIGHT, Math.ceil((end - left) * scale)) + 2 * edge;
    const height = 3 * UPRIGHT;
    const back = (x: number, y: number): readonly [number, number] => {
      const [along, downwards] = [(x - edge) / scale + left, (y - edge) / scale + top];
      return [along * right[0] + downwards * down[0], along * right[1] + downwards * down[1]];
    };
    const data = new Float32Array(width * height);
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1) {
        let sum = 0;
        for (const [dx, dy] of HALVES) {
          const [px, py] = back(x + dx, y + dy);
          sum += lightAt(light, px - 0.5, py - 0.5);
        }
        data[y * width + x] = sum / HALVES.length;
      }
    return {
      picture: { width, height, data, strongest: data },
      from: (x, y) => back(x + 0.5, y + 0.5),
      left: edge,
      right: edge + (end - left) * scale,
      top: edge,
      bottom: 2 * edge,
    };
  });
}

const HALVES = [
  [0.25, 0.25],
  [0.75, 0.25],
  [0.25, 0.75],
  [0.75, 0.75],
] as const;
