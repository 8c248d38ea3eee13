import type { Light } from '../light/index.ts';
import { clarityOf } from './clarity.ts';
import { heightOf, moved, type Pose } from './pose.ts';

/** How far is tried there and back, along and down, in heights: as far as a hand's touch moves a phone between two pictures. */
const SHIFTS = [-0.16, -0.08, 0, 0.08, 0.16] as const;
/** Which numbers of the corners are of the left end, and of the right one. */
export const LEFT = [0, 1, 6, 7] as const;
export const RIGHT = [2, 3, 4, 5] as const;

/** The pose with some of its corners moved to where its segments are clearest: from beside its segments no fit finds back. */
export function clearest(light: Light, pose: Pose, corners: readonly number[] = [...LEFT, ...RIGHT]): Pose {
  const height = heightOf(pose);
  let [best, most] = [pose, -Infinity];
  for (const along of SHIFTS)
    for (const down of SHIFTS) {
      const there = moved(pose, (value, i) =>
        corners.includes(i) ? value + height * (i % 2 ? down : along) : value,
      );
      const clear = clarityOf(light, there);
      if (clear > most) [best, most] = [there, clear];
    }
  return best;
}
