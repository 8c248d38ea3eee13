import { meansAround, type Light } from '../light/index.ts';

/** A patch of light that hangs together: its box and how many points it has. */
export interface Blob {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly points: number;
}

/** A point is lit when it is lighter than around it by this, and by this share of the strongest such difference. */
const LIGHTER = 0.015;
const SHARE = 0.3;
const FEWEST = 4;

/** Which points are lighter than what is around them, `reach` points to each side; 1 where they are. */
export function litPoints(light: Light, reach: number): Uint8Array {
  const { data } = light;
  const means = meansAround(light, Math.max(1, Math.round(reach)));
  let most = 0;
  for (let i = 0; i < data.length; i += 1) most = Math.max(most, data[i]! - means[i]!);
  const limit = Math.max(LIGHTER, most * SHARE);
  const lit = new Uint8Array(data.length);
  for (let i = 0; i < lit.length; i += 1) if (data[i]! - means[i]! > limit) lit[i] = 1;
  return lit;
}

/** The patches of points that touch, diagonally too; specks are left out. */
export function blobsOf(lit: Uint8Array, width: number, height: number): readonly Blob[] {
  const seen = new Uint8Array(lit.length);
  const stack: number[] = [];
  const blobs: Blob[] = [];
  for (let start = 0; start < lit.length; start += 1) {
    if (!lit[start] || seen[start]) continue;
    let left = width;
    let top = height;
    let right = 0;
    let bottom = 0;
    let points = 0;
    seen[start] = 1;
    stack.push(start);
    while (stack.length > 0) {
      const at = stack.pop()!;
      const x = at % width;
      const y = (at - x) / width;
      points += 1;
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      if (y > bottom) bottom = y;
      for (let ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny += 1)
        for (let nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx += 1) {
          const next = ny * width + nx;
          if (lit[next] && !seen[next]) {
            seen[next] = 1;
            stack.push(next);
          }
        }
    }
    if (points >= FEWEST) blobs.push({ left, top, right: right + 1, bottom: bottom + 1, points });
  }
  return blobs;
}

/** Segments of one display lie within this many times their own length of each other. */
const NEAR = 2.4;

/** Blobs that lie so near together that they may be one display, with most light first. */
export function groupsOf(blobs: readonly Blob[], width: number): readonly (readonly Blob[])[] {
  // What fills half of the picture is a window or a wall.
  const left = blobs.filter((blob) => blob.right - blob.left < width * 0.9);
  const group = left.map((_, i) => i);
  const root = (i: number): number => (group[i] === i ? i : (group[i] = root(group[i]!)));
  const size = ({ left: l, right: r, top: t, bottom: b }: Blob) => Math.max(r - l, b - t);
  for (let i = 0; i < left.length; i += 1)
    for (let k = i + 1; k < left.length; k += 1) {
      const [one, other] = [left[i]!, left[k]!];
      const apartX = Math.max(one.left, other.left) - Math.min(one.right, other.right);
      const apartY = Math.max(one.top, other.top) - Math.min(one.bottom, other.bottom);
      const reach = NEAR * Math.max(size(one), size(other));
      if (apartX < reach && apartY < reach / 2) group[root(i)] = root(k);
    }
  const groups = new Map<number, Blob[]>();
  left.forEach((blob, i) => groups.set(root(i), [...(groups.get(root(i)) ?? []), blob]));
  const points = (all: readonly Blob[]) => all.reduce((sum, blob) => sum + blob.points, 0);
  return [...groups.values()].sort((a, b) => points(b) - points(a));
}
