import { SEGMENTS, type Digit } from '../characters/index.ts';
import type { Light } from '../light/index.ts';
import type { Blob } from './blobs.ts';
import { aspectOf, heightOf, planeOf, projection, type Pose, type ToPicture } from './pose.ts';

/** A segment is as thick as the lit points over the length of the lit segments say; what is further off its middle line than half of it, and this share more, or so many points, is no segment. */
const EDGE = { share: 0.18, points: 0.8 } as const;
/** The segments of two digits are further apart than this many times their thickness. */
const APART = 1.25;
/** From where to where the segments run: along and down, in widths of a digit and heights. */
const RUNS = [
  [0, 0, 1, 0],
  [1, 0, 1, 0.5],
  [1, 0.5, 1, 1],
  [0, 1, 1, 1],
  [0, 0.5, 0, 1],
  [0, 0, 0, 0.5],
  [0, 0.5, 1, 0.5],
] as const;
/** Less of a blob than this on lit segments, and it is something else: a lamp where it is smaller than this, in heights. */
const BELONGS = 0.3;
const LAMP = 0.35;
/** What is as level as a minus, and at its height, within so many digits before the first. */
const MINUS = { levelness: 1.5, digits: 1.8, from: 0.3, to: 0.7 } as const;

/**
 * Share of the lit points of a group that lie on lit segments and decimal points. Lamps beside the digits are not counted; anything else among the
 * digits, or what may be a minus before them, and nothing is explained.
 */
export function explainedBy(
  light: Light,
  lit: Uint8Array,
  pose: Pose,
  digits: readonly Digit[],
  group: readonly Blob[],
): number {
  const points = group.reduce((sum, blob) => sum + blob.points, 0);
  const thickness = points / lengthOf(pose, digits);
  if (gapOf(pose) < APART * thickness) return 0;
  const mask = maskOf(light, pose, digits, thickness);
  let [all, explained] = [0, 0];
  for (const blob of group) {
    let own = 0;
    for (let y = blob.top; y < blob.bottom; y += 1)
      for (let x = blob.left; x < blob.right; x += 1) {
        const at = y * light.width + x;
        if (lit[at]) own += mask[at]!;
      }
    const belongs = own >= blob.points * BELONGS;
    if (!belongs && isInTheWay(blob, pose)) return 0;
    const isLamp =
      !belongs && Math.max(blob.right - blob.left, blob.bottom - blob.top) < LAMP * heightOf(pose);
    if (!isLamp) all += blob.points;
    explained += own;
  }
  return all === 0 ? 0 : Math.min(1, explained / all);
}

const isLit = (pattern: number, segment: number) => (pattern & (1 << segment)) !== 0;

/** Length of all lit segments, in points. */
function lengthOf(pose: Pose, digits: readonly Digit[]): number {
  const height = heightOf(pose);
  const across = aspectOf(pose);
  let length = 0;
  for (const { pattern } of digits)
    SEGMENTS.forEach((_, i) => {
      if (isLit(pattern, i)) length += height * (RUNS[i]![1] === RUNS[i]![3] ? across : 0.5);
    });
  return length;
}

/** From the right segments of a digit to the left ones of the next, in points. */
const gapOf = (pose: Pose): number => (heightOf(pose) * aspectOf(pose) * (1 - pose.width)) / pose.width;

/** Which points of the picture are covered by lit segments and decimal points that are so thick. */
function maskOf(light: Light, pose: Pose, digits: readonly Digit[], thickness: number): Uint8Array {
  const mask = new Uint8Array(light.width * light.height);
  const to = projection(pose);
  const reach = Math.min(
    0.15 * heightOf(pose),
    thickness / 2 + Math.max(EDGE.share * thickness, EDGE.points),
  );
  const { width } = pose;
  for (const [i, { pattern, point }] of digits.entries()) {
    for (const [segment, [x0, y0, x1, y1]] of RUNS.entries())
      if (isLit(pattern, segment))
        for (let k = 0; k <= 12; k += 1)
          stamp(mask, light, to, i + width * (x0 + ((x1 - x0) * k) / 12), y0 + ((y1 - y0) * k) / 12, reach);
    if (point)
      for (let k = 0; k <= 4; k += 1)
        stamp(mask, light, to, i + width + (1 - width) * (0.08 + k / 6), 1, reach);
  }
  return mask;
}

function stamp(
  mask: Uint8Array,
  { width, height }: Light,
  to: ToPicture,
  along: number,
  down: number,
  radius: number,
): void {
  const [cx, cy] = to(along, down);
  for (
    let y = Math.max(0, Math.floor(cy - radius));
    y <= Math.min(height - 1, Math.ceil(cy + radius));
    y += 1
  )
    for (
      let x = Math.max(0, Math.floor(cx - radius));
      x <= Math.min(width - 1, Math.ceil(cx + radius));
      x += 1
    )
      if ((x - cx) ** 2 + (y - cy) ** 2 <= radius * radius) mask[y * width + x] = 1;
}

/** Whether a blob that no lit segment explains lies among the digits, or may be the minus before them. */
function isInTheWay(blob: Blob, pose: Pose): boolean {
  const to = projection(pose);
  const { span } = planeOf(pose);
  const [x, y] = [(blob.left + blob.right) / 2, (blob.top + blob.bottom) / 2];
  const [first] = to(0, 0.5);
  const [last] = to(span, 0.5);
  const along = ((x - first) / (last - first)) * span;
  const [, above] = to(along, 0);
  const [, below] = to(along, 1);
  const down = (y - above) / (below - above);
  if (along > -0.1 && along < span + 0.1) return down > 0.05 && down < 0.95;
  const level = blob.right - blob.left > MINUS.levelness * (blob.bottom - blob.top);
  return level && along < 0 && along > -MINUS.digits && down > MINUS.from && down < MINUS.to;
}
