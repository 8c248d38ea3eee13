import type { Light } from '../light/index.ts';
import { levelOf } from './decide.ts';
import { segmentsAt } from './levels.ts';
import { aspectOf, heightOf, moved, type Pose } from './pose.ts';

/** Steps of the search, in heights of the display: from where a candidate stands, and from where a display surely is near. */
export const ROUGH_STEPS = [0.05, 0.025] as const;
export const FINE_STEPS = [0.025, 0.012] as const;
/** All of them, for a display that moved. */
const STEPS = [0.05, ...FINE_STEPS] as const;
const ROUNDS = 3;
/** What a digit may look like: width over height, and width over the distance to the next. Common practice; wide enough for a display seen aslant. */
export const ASPECT = [0.3, 0.85] as const;
export const WIDTH = [0.42, 0.8] as const;
/** How hard it is to pull a display out of its first shape: this share of its light for each height, squared. */
const STIFF = 0.6;

/**
 * Moves the corners of a display, and what a digit takes of the distance to the next, to where its lit segments stand out most and its dark ones least:
 * one after the other, there and back, in ever smaller steps.
 */
export function fitPose(light: Light, from: Pose, steps: readonly number[] = STEPS): Pose {
  const height = heightOf(from);
  const first = segmentsAt(light, from);
  const level = levelOf(first);
  const lit = first.map(({ mean }) => mean > 0.5 * level);
  const worth = (pose: Pose): number => {
    const aspect = aspectOf(pose);
    if (aspect < ASPECT[0] || aspect > ASPECT[1]) return -Infinity;
    let sum = 0;
    for (const [i, { mean, least }] of segmentsAt(light, pose).entries())
      sum += lit[i] ? (mean + least) / 2 : -Math.abs(mean) / 2;
    let pulled = 0;
    for (let i = 0; i < 8; i += 1) pulled += ((pose.corners[i]! - from.corners[i]!) / height) ** 2;
    return sum - STIFF * level * pulled;
  };
  let best = from;
  let most = worth(best);
  for (const step of steps)
    for (let round = 0; round < ROUNDS; round += 1) {
      let better = false;
      for (const move of moves(step * height, step)) {
        const there = move(best);
        if (there === null) continue;
        const value = worth(there);
        if (value > most) [best, most, better] = [there, value, true];
      }
      if (!better) break;
    }
  return best;
}

/** The whole along and down, its size, each corner along and down, the width of a digit: each there and back. */
function moves(points: number, share: number): readonly ((from: Pose) => Pose | null)[] {
  const along = (which: readonly number[], by: number) => (from: Pose) =>
    moved(from, (value, i) => (which.includes(i) ? value + by : value));
  const width = (by: number) => (from: Pose) => {
    const to = from.width + by;
    return to < WIDTH[0] || to > WIDTH[1] ? null : { ...from, width: to };
  };
  const groups = [
    [0, 2, 4, 6],
    [1, 3, 5, 7],
    [0, 6],
    [2, 4],
    [1, 3],
    [5, 7],
    [0],
    [1],
    [2],
    [3],
    [4],
    [5],
    [6],
    [7],
  ];
  return [
    ...groups.flatMap((group) => [along(group, points), along(group, -points)]),
    width(share / 2),
    width(-share / 2),
  ];
}
