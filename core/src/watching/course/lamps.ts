import { lightAt, type Light } from '../light/index.ts';
import { projection, type Pose } from '../display/index.ts';

/** Where a lamp is on the front: beyond the right end of the digits, in distances from one digit to the next (negative: before it), and down from their top, in heights. So it stays with the display when the phone moves. */
export interface LampPosition {
  readonly id: string;
  readonly beyond: number;
  readonly down: number;
}

/** What a lamp does, and since when, in seconds. Blinking counts as one state. */
export interface LampState {
  readonly id: string;
  readonly is: 'on' | 'off' | 'blinks' | 'notRead';
  readonly since: number;
}

/** The course of one lamp: its changes of the last seconds, and the state they make. */
export interface LampCourse {
  readonly position: LampPosition;
  /** Lit or not on the last sure picture. */
  readonly lit: boolean | null;
  /** How many pictures in a row show the other. */
  readonly against: number;
  readonly firstAgainst: number;
  readonly turns: readonly number[];
  readonly state: LampState;
}

/** A lamp is lit when it stands out by this share of the display's light, and dark below the other. Ours. */
const LIT = 0.3;
const DARK = 0.12;
/** Size of a lamp and how far off the dark is taken, in heights. */
const RADIUS = 0.07;
const BESIDE = 0.3;
/** Pictures in a row that make a change. */
const SURE = 2;
/** It blinks when it changed so often within so many seconds; it is steady once it has not for so long. */
const BLINKS = { turns: 3, seconds: 3 } as const;
const STEADY = 1.2;

/** Where a point of the picture lies on a display, for a lamp that was touched there; found by Newton's method on the projection. */
export function lampAt(id: string, pose: Pose, x: number, y: number): LampPosition {
  const to = projection(pose);
  const right = pose.digits - 1 + pose.width;
  let [along, down] = [right / 2, 0.5];
  const h = 1e-3;
  for (let round = 0; round < 20; round += 1) {
    const [px, py] = to(along, down);
    const [ax, ay] = to(along + h, down);
    const [dx, dy] = to(along, down + h);
    const [a, b, c, d] = [(ax - px) / h, (dx - px) / h, (ay - py) / h, (dy - py) / h];
    const det = a * d - b * c;
    if (det === 0) break;
    along += ((x - px) * d - b * (y - py)) / det;
    down += (a * (y - py) - (x - px) * c) / det;
  }
  return { id, beyond: along - right, down };
}

/** Where a lamp is in the picture. */
export function lampIn({ beyond, down }: LampPosition, pose: Pose): readonly [number, number] {
  return projection(pose)(pose.digits - 1 + pose.width + beyond, down);
}

export const newLamp = (position: LampPosition, at: number): LampCourse => ({
  position,
  lit: null,
  against: 0,
  firstAgainst: at,
  turns: [],
  state: { id: position.id, is: 'notRead', since: at },
});

/** The course of a lamp with one picture more. `level`: the light of the display. */
export function lampAfter(lamp: LampCourse, light: Light, pose: Pose, level: number, at: number): LampCourse {
  const is = litIn(light, lamp.position, pose, level);
  let { lit, against, firstAgainst, turns } = lamp;
  if (is !== null && lit === null) lit = is;
  else if (is !== null && is !== lit) {
    if (against === 0) firstAgainst = at;
    against += 1;
    if (against >= SURE) {
      lit = is;
      turns = [...turns, firstAgainst];
      against = 0;
    }
  } else if (is !== null) against = 0;
  turns = turns.filter((turn) => turn > at - 2 * BLINKS.seconds);
  const next = { ...lamp, lit, against, firstAgainst, turns };
  return { ...next, state: stateOf(next, at) };
}

function stateOf({ lit, turns, state }: LampCourse, at: number): LampState {
  if (lit === null) return state;
  const lately = turns.filter((turn) => turn > at - BLINKS.seconds);
  const last = turns.at(-1);
  if (lately.length >= BLINKS.turns)
    return state.is === 'blinks' ? state : { id: state.id, is: 'blinks', since: lately[0]! };
  const steady = last === undefined || at - last >= STEADY;
  const is = lit ? 'on' : 'off';
  if (!steady || state.is === is) return state;
  return { id: state.id, is, since: last ?? at };
}

function litIn(light: Light, position: LampPosition, pose: Pose, level: number): boolean | null {
  const to = projection(pose);
  const along = pose.digits - 1 + pose.width + position.beyond;
  const look = (dx: number, dy: number) => {
    const [x, y] = to(along + dx, position.down + dy);
    return lightAt(light, x, y);
  };
  // A touch is not exact: the lightest of what is near it is the lamp.
  let most = 0;
  for (const dx of [-RADIUS, 0, RADIUS])
    for (const dy of [-RADIUS, 0, RADIUS]) most = Math.max(most, look(dx, dy));
  const dark = Math.min(look(-BESIDE, 0), look(BESIDE, 0), look(0, -BESIDE), look(0, BESIDE));
  const share = (most - dark) / Math.min(level, 1 - dark);
  if (1 - dark < level / 3) return null;
  return share > LIT ? true : share < DARK ? false : null;
}
