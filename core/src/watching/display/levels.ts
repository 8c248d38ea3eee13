import { lightAt, strongestAt, type Light } from '../light/index.ts';
import { planeOf, type Plane, type Pose } from './pose.ts';

/** How much lighter a segment is than what is beside it: the mean along it, its weakest and its strongest point, and what the dark beside it leaves to be seen. */
export interface SegmentLevel {
  mean: number;
  least: number;
  most: number;
  /** The most that a lit segment could stand out here: 1 less the strongest colour beside it. */
  room: number;
}

export interface DigitLevels {
  /** a to g. */
  readonly segments: readonly SegmentLevel[];
  /** How much lighter the point behind the digit is than what is above and below it. */
  readonly point: number;
  readonly pointRoom: number;
}

/** Where along a segment is looked at: its ends touch other segments, and the point stands beside the end of one. */
const ALONG = [0.28, 0.5, 0.72] as const;
/** How far above and below the display the dark is taken, in heights. */
const OUTSIDE = 0.2;
/** The point: where it may stand behind its digit (share of the gap between digits), how high, and how far from it the dark is taken. */
const POINT_ALONG = [0.3, 0.42, 0.54, 0.66] as const;
const POINT_DOWN = [0.94, 1, 1.06] as const;
const POINT_BESIDE = 0.24;

/** Looks at every segment and point of a display that stands so. */
export function levelsAt(light: Light, pose: Pose): readonly DigitLevels[] {
  const plane = planeOf(pose);
  return Array.from({ length: pose.digits }, (_, i) => digitAt(light, plane, i, pose.width));
}

/** Light at a point of the display's plane: the one that is read, or the strongest colour. */
function look(
  light: Light,
  { a, b, c, d, e, f, g, h, span }: Plane,
  along: number,
  down: number,
  strongest = false,
): number {
  const u = along / span;
  const w = g * u + h * down + 1;
  const x = (a * u + b * down + c) / w;
  const y = (d * u + e * down + f) / w;
  return strongest ? strongestAt(light, x, y) : lightAt(light, x, y);
}

function digitAt(light: Light, plane: Plane, i: number, width: number): DigitLevels {
  const gap = 1 - width;
  const aside = Math.min(gap, width) / 2;
  const right = i + width;
  // A segment starts somewhere and runs on; what is inside of the digit and outside of it lies beside it.
  const level = (down: number, inside: number, outside: number) =>
    segmentAt(light, plane, i, down, width, 0, 0, inside, 0, outside);
  const upright = (left: boolean, upper: boolean) =>
    segmentAt(
      light,
      plane,
      left ? i : right,
      upper ? 0 : 0.47,
      0,
      0.5,
      left ? width / 2 : -width / 2,
      0,
      left ? -aside : aside,
      0,
    );
  let [point, pointRoom] = [-Infinity, 1];
  for (const share of POINT_ALONG)
    for (const down of POINT_DOWN) {
      const along = right + gap * share;
      const [above, below] = [down - POINT_BESIDE, down + POINT_BESIDE];
      const dark = Math.max(look(light, plane, along, above), look(light, plane, along, below));
      const stands = look(light, plane, along, down) - dark;
      if (stands > point) {
        point = stands;
        pointRoom =
          1 - Math.max(look(light, plane, along, above, true), look(light, plane, along, below, true));
      }
    }
  return {
    segments: [
      level(0, 0.25, -OUTSIDE),
      upright(false, true),
      upright(false, false),
      level(1, -0.25, OUTSIDE),
      upright(true, false),
      upright(true, true),
      level(0.5, -0.25, 0.25),
    ],
    point,
    pointRoom,
  };
}

function segmentAt(
  light: Light,
  plane: Plane,
  fromAlong: number,
  fromDown: number,
  runAlong: number,
  runDown: number,
  insideAlong: number,
  insideDown: number,
  outsideAlong: number,
  outsideDown: number,
): SegmentLevel {
  const segment: SegmentLevel = { mean: 0, least: Infinity, most: -Infinity, room: 1 };
  for (const share of ALONG) {
    const along = fromAlong + runAlong * share;
    const down = fromDown + runDown * share;
    const within = look(light, plane, along + insideAlong, down + insideDown);
    const without = look(light, plane, along + outsideAlong, down + outsideDown);
    // A bright frame around the display says nothing of its segments.
    const stands = look(light, plane, along, down) - (without > within ? within : (within + without) / 2);
    // Under a reflection even a lit segment stands out by what is left of the camera's range alone.
    const veil =
      light.data === light.strongest
        ? Math.min(within, without)
        : Math.min(
            look(light, plane, along + insideAlong, down + insideDown, true),
            look(light, plane, along + outsideAlong, down + outsideDown, true),
          );
    segment.mean += stands / ALONG.length;
    segment.room -= veil / ALONG.length;
    segment.least = Math.min(segment.least, stands);
    segment.most = Math.max(segment.most, stands);
  }
  return segment;
}
