import { moved, type Pose, type Seen } from '../display/index.ts';
import { litCount } from './agreed.ts';

/** A display's pose over pictures, and how many segments were lit on the picture from which it has its shape: the more, the better it is determined. */
export interface Held {
  readonly pose: Pose;
  readonly lit: number;
}

/** What was best fades by this share a picture: a phone that is moved is followed by and by. */
const FADES = 0.998;

/**
 * The pose after one picture more. A picture with few lit segments determines it badly, and from one to the next it would slip away beside the dark ones: such a picture only shifts it, its
 * shape stays that of the best one.
 */
export function heldAfter(held: Held | null, { digits, pose }: Extract<Seen, { kind: 'read' }>): Held {
  const lit = litCount(digits);
  const best = held === null ? 0 : held.lit * FADES;
  if (held === null || pose.digits > held.pose.digits || lit >= best) return { pose, lit };
  return { lit: best, pose: shiftedTo(held.pose, pose) };
}

/** A pose moved as a whole, as far as another stands from it in the mean. */
function shiftedTo(pose: Pose, to: Pose): Pose {
  const by = [0, 1].map((of) => {
    let sum = 0;
    for (let i = of; i < 8; i += 2) sum += to.corners[i]! - pose.corners[i]!;
    return sum / 4;
  });
  return moved(pose, (value, i) => value + by[i % 2]!);
}
