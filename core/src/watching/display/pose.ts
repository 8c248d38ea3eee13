/**
 * Where a display stands in a picture: the four corners of the box around its digits, from the middle line of the first digit's left segments to that of
 * the last one's right segments, and from the middle line of the upper segments to that of the lower ones. Corners are left above, right above, right below,
 * left below, in points of the light.
 */
export interface Pose {
  readonly corners: readonly [number, number, number, number, number, number, number, number];
  readonly digits: number;
  /** Width of a digit, middle line to middle line, as a share of the distance from one digit to the next. */
  readonly width: number;
}

/** No control shows more. Common practice. */
export const MAX_DIGITS = 6;

/** A pose with each number of its corners (0 to 7: along and down by turns) put to another place. */
export const moved = (pose: Pose, to: (value: number, i: number) => number): Pose => ({
  ...pose,
  corners: pose.corners.map(to) as unknown as Pose['corners'],
});

/** From a digit on the display to the picture. Along: 1 is the distance from one digit to the next; down: 1 is the height. */
export type ToPicture = (along: number, down: number) => readonly [number, number];

/**
 * The projection of the display's plane as numbers: x = (a·u + b·down + c) / (g·u + h·down + 1), y = (d·u + e·down + f) / (…), with u = along / span
 * (Heckbert 1989, “Fundamentals of texture mapping and image warping”, 2.2.3).
 */
export interface Plane {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
  readonly g: number;
  readonly h: number;
  readonly span: number;
}

export function planeOf({ corners, digits, width }: Pose): Plane {
  const [x0, y0, x1, y1, x2, y2, x3, y3] = corners;
  const [dx1, dy1] = [x1 - x2, y1 - y2];
  const [dx2, dy2] = [x3 - x2, y3 - y2];
  const [sx, sy] = [x0 - x1 + x2 - x3, y0 - y1 + y2 - y3];
  const below = dx1 * dy2 - dx2 * dy1;
  const g = below === 0 ? 0 : (sx * dy2 - dx2 * sy) / below;
  const h = below === 0 ? 0 : (dx1 * sy - sx * dy1) / below;
  return {
    a: x1 - x0 + g * x1,
    b: x3 - x0 + h * x3,
    c: x0,
    d: y1 - y0 + g * y1,
    e: y3 - y0 + h * y3,
    f: y0,
    g,
    h,
    span: digits - 1 + width,
  };
}

/** The projection as a function. */
export function projection(pose: Pose): ToPicture {
  const { a, b, c, d, e, f, g, h, span } = planeOf(pose);
  return (along, down) => {
    const u = along / span;
    const w = g * u + h * down + 1;
    return [(a * u + b * down + c) / w, (d * u + e * down + f) / w];
  };
}

/** The same display with `before` digits more on the left and `after` on the right. */
export function widened(pose: Pose, before: number, after: number): Pose {
  const to = projection(pose);
  const right = pose.digits - 1 + pose.width + after;
  return {
    corners: [...to(-before, 0), ...to(right, 0), ...to(right, 1), ...to(-before, 1)] as const,
    digits: pose.digits + before + after,
    width: pose.width,
  };
}

/** Height of the display in the picture, from middle line to middle line, in points: the mean of both ends. */
export function heightOf({ corners: [x0, y0, x1, y1, x2, y2, x3, y3] }: Pose): number {
  return (Math.hypot(x3 - x0, y3 - y0) + Math.hypot(x2 - x1, y2 - y1)) / 2;
}

/** Width of one digit over its height, as it is seen: the mean of above and below. */
export function aspectOf(pose: Pose): number {
  const { corners, digits, width } = pose;
  const [x0, y0, x1, y1, x2, y2, x3, y3] = corners;
  const along = (Math.hypot(x1 - x0, y1 - y0) + Math.hypot(x2 - x3, y2 - y3)) / 2;
  return (along * width) / (digits - 1 + width) / heightOf(pose);
}
