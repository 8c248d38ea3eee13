import { lightAt, strongestAt, type Light } from '../light/index.ts';
import { planeOf, type Plane, type Pose } from './pose.ts';

/** How much lighter a segment is than what is beside it: the mean along it, its weakest and its strongest point. */
export interface Standing {
  mean: number;
  least: number;
  most: number;
}

/** The same, and what the dark beside it leaves to be seen. */
export interface SegmentLevel extends Standing {
  /** The most that a lit segment could stand out here: 1 less the strongest colour beside it. */
  room: number;
}

export interface DigitLevels {
  /** a to g. */
  readonly segments: readonly SegmentLevel[];
  /** How much lighter the point behind the digit is than what is above and below it. */
  readonly point: number;
  readonly pointRoom: number;
  /** Whether it is lightest where the search begins or ends: then it is the end of a segment, or hidden by it. */
  readonly pointAtEdge: boolean;
}

/** Where along a segment is looked at: its ends touch other segments, and the point stands beside the end of one. */
const ALONG = [0.28, 0.5, 0.72] as const;
/** How far above and below the display the dark is taken, in heights. */
export const OUTSIDE = 0.2;
/** The point: where it may stand behind its digit (share of the gap between digits), how high, and how far from it the dark is taken. */
const POINT_ALONG = [0.34, 0.42, 0.5, 0.58, 0.66, 0.74] as const;
const POINT_DOWN = [0.94, 1, 1.06] as const;
const POINT_BESIDE = 0.24;
/** The dark above it is also taken so far nearer to the digit (share of the gap): the lower corner of a thick segment is no point. */
const POINT_NEARER = 0.15;

/** What is dark beside a segment, by the light inside of its digit and outside of it: a bright frame around the display says nothing. */
export const beside = (inside: number, outside: number): number =>
  outside > inside ? inside : (inside + outside) / 2;

/** Looks at every segment and point of a display that stands so. */
export function levelsAt(light: Light, pose: Pose): readonly DigitLevels[] {
  const plane = planeOf(pose);
  const lines = linesOf(pose.width);
  return Array.from({ length: pose.digits }, (_, i) => ({
    segments: lines.map((line) => ({
      ...standing(light, plane, line, i),
      room: roomAt(light, plane, line, i),
    })),
    ...pointAt(light, plane, i, pose.width),
  }));
}

/** Looks at the segments alone, digit after digit, a to g: what a fit asks for thousands of times. */
export function segmentsAt(light: Light, pose: Pose): readonly Standing[] {
  const plane = planeOf(pose);
  const lines = linesOf(pose.width);
  const all: Standing[] = [];
  for (let i = 0; i < pose.digits; i += 1)
    for (const line of lines) all.push(standing(light, plane, line, i));
  return all;
}

/** Light at a point of the display's plane: the one that is read, or the strongest colour. */
function look(light: Light, at: Plane, along: number, down: number, strongest = false): number {
  const u = along / at.span;
  const w = at.g * u + at.h * down + 1;
  const x = (at.a * u + at.b * down + at.c) / w;
  const y = (at.d * u + at.e * down + at.f) / w;
  return strongest ? strongestAt(light, x, y) : lightAt(light, x, y);
}

/** The middle line of a segment: where it starts on its digit, how far it runs, and how far from it lie the inside of the digit and what is outside. */
interface Line {
  readonly along: number;
  readonly down: number;
  readonly runAlong: number;
  readonly runDown: number;
  readonly insideAlong: number;
  readonly insideDown: number;
  readonly outsideAlong: number;
  readonly outsideDown: number;
}

/** The segments of a digit, a to g. */
function linesOf(width: number): readonly Line[] {
  const aside = Math.min(1 - width, width) / 2;
  const level = (down: number, insideDown: number, outsideDown: number): Line => ({
    along: 0,
    down,
    runAlong: width,
    runDown: 0,
    insideAlong: 0,
    insideDown,
    outsideAlong: 0,
    outsideDown,
  });
  const upright = (left: boolean, down: number): Line => ({
    along: left ? 0 : width,
    down,
    runAlong: 0,
    runDown: 0.5,
    insideAlong: left ? width / 2 : -width / 2,
    insideDown: 0,
    outsideAlong: left ? -aside : aside,
    outsideDown: 0,
  });
  return [
    level(0, 0.25, -OUTSIDE),
    upright(false, 0),
    upright(false, 0.47),
    level(1, -0.25, OUTSIDE),
    upright(true, 0.47),
    upright(true, 0),
    level(0.5, -0.25, 0.25),
  ];
}

function standing(light: Light, plane: Plane, line: Line, i: number): Standing {
  const segment: Standing = { mean: 0, least: Infinity, most: -Infinity };
  for (const share of ALONG) {
    const along = i + line.along + line.runAlong * share;
    const down = line.down + line.runDown * share;
    const within = look(light, plane, along + line.insideAlong, down + line.insideDown);
    const without = look(light, plane, along + line.outsideAlong, down + line.outsideDown);
    const stands = look(light, plane, along, down) - beside(within, without);
    segment.mean += stands / ALONG.length;
    if (stands < segment.least) segment.least = stands;
    if (stands > segment.most) segment.most = stands;
  }
  return segment;
}

/** Under a reflection even a lit segment stands out by what is left of the camera's range alone. */
function roomAt(light: Light, plane: Plane, line: Line, i: number): number {
  let room = 1;
  for (const share of ALONG) {
    const along = i + line.along + line.runAlong * share;
    const down = line.down + line.runDown * share;
    const veil = Math.min(
      look(light, plane, along + line.insideAlong, down + line.insideDown, true),
      look(light, plane, along + line.outsideAlong, down + line.outsideDown, true),
    );
    room -= veil / ALONG.length;
  }
  return room;
}

/** The decimal point behind a digit, where it stands out most. */
function pointAt(
  light: Light,
  plane: Plane,
  i: number,
  width: number,
): Pick<DigitLevels, 'point' | 'pointRoom' | 'pointAtEdge'> {
  const gap = 1 - width;
  let [point, pointRoom, pointAtEdge] = [-Infinity, 1, false];
  for (const share of POINT_ALONG)
    for (const down of POINT_DOWN) {
      const along = i + width + gap * share;
      const [above, below] = [down - POINT_BESIDE, down + POINT_BESIDE];
      const dark = Math.max(
        look(light, plane, along, above),
        look(light, plane, along - POINT_NEARER * gap, above),
        look(light, plane, along, below),
      );
      const stands = look(light, plane, along, down) - dark;
      if (stands > point) {
        point = stands;
        pointAtEdge = share === POINT_ALONG[0] || share === POINT_ALONG.at(-1);
        pointRoom =
          1 - Math.max(look(light, plane, along, above, true), look(light, plane, along, below, true));
      }
    }
  return { point, pointRoom, pointAtEdge };
}
