import { moved, type Pose, type Seen } from '../display/index.ts';
import { litCount } from './agreed.ts';

/** A display's pose over pictures, and how well the picture determined it from which it has its shape: how many segments were lit there, and how far each was from being unsure. */
export interface Held {
  readonly pose: Pose;
  readonly lit: number;
  readonly margin: number;
}

/** What was best fades by this share a picture: a phone that is moved is followed by and by. */
const FADES = { lit: 0.998, margin: 0.98 } as const;

/**
 * The pose after one picture more. A picture with few lit segments determines it badly, and from one to the next it would slip away beside the dark ones: such a picture only shifts it, its
 * shape stays that of the best one.
 */
export function heldAfter(
  held: Held | null,
  { digits, pose, margin }: Extract<Seen, { kind: 'read' }>,
): Held {
  const lit = litCount(digits);
  const now = { pose, lit, margin };
  if (held === null || pose.digits > held.pose.digits || lit > held.lit) return now;
  const faded = { lit: held.lit * FADES.lit, margin: held.margin * FADES.margin };
  if (lit >= faded.lit && margin >= faded.margin) return now;
  return { ...faded, pose: shiftedTo(held.pose, pose) };
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
