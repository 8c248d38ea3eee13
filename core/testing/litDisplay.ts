import { SEGMENTS, patternsOf } from '../src/watching/characters/index.ts';
import type { Picture } from '../src/watching/light/index.ts';

/** How a display is made: sizes in heights of a digit (from middle line to middle line). */
export interface Make {
  readonly segment: 'hexagon' | 'square' | 'round' | 'mitred';
  readonly thickness: number;
  readonly gap: number;
  readonly width: number;
  readonly pitch: number;
  /** How far the top leans to the right. */
  readonly lean: number;
  readonly point: { readonly size: number; readonly along: number; readonly round: boolean };
  /** Light of each colour, 0 to 1. */
  readonly colour: readonly [number, number, number];
  /** Light of a dark segment as a share of a lit one. */
  readonly ghost: number;
  readonly digits: number;
}

/** How it is seen. Angles in degrees; sizes in pixels; light as a share of what the camera can tell. */
export interface View {
  readonly width: number;
  readonly height: number;
  /** Height of a digit in the picture. */
  readonly size: number;
  readonly at: readonly [number, number];
  readonly roll: number;
  readonly yaw: number;
  readonly pitch: number;
  readonly gain: number;
  readonly ambient: number;
  readonly blur: number;
  readonly noise: number;
  /** Light of a reflection, its middle in shares of the picture, its reach in pixels. */
  readonly glare: {
    readonly light: number;
    readonly x: number;
    readonly y: number;
    readonly reach: number;
  } | null;
}

/** A text as the display shows it: one pattern a digit, from the right. */
export function digitsOf(text: string, digits: number): readonly { pattern: number; point: boolean }[] {
  const out: { pattern: number; point: boolean }[] = [];
  for (const character of text)
    if (character === '.') out.at(-1)!.point = true;
    else out.push({ pattern: patternsOf(character)[0]!, point: false });
  while (out.length < digits) out.unshift({ pattern: 0, point: false });
  return out;
}

/**
 * A picture of a lit display, point by point: the light of segments, front and surroundings through a pinhole, blurred as a lens out of focus blurs it,
 * with reflection, the camera's curve and noise. `dimmed` is the light of each digit, for displays that are lit one digit after the other.
 */
export function drawn(
  make: Make,
  view: View,
  text: string,
  chance: () => number,
  {
    lamps = [],
    dimmed = () => 1,
  }: { lamps?: readonly (readonly [number, number, number])[]; dimmed?: (digit: number) => number } = {},
): Picture {
  const { width, height } = view;
  const shown = digitsOf(text, make.digits);
  const span = (make.digits - 1) * make.pitch + make.width;
  const toPlane = fromPicture(view);
  const light = new Float32Array(width * height * 3);
  const SUB = 2;
  const fineBox = { left: width - 1, right: 0, top: height - 1, bottom: 0 };
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const sums = [0, 0, 0];
      const [middleX, middleY] = toPlane(x + 0.5, y + 0.5);
      // Only where something fine is drawn each point is looked at four times.
      const fine = Math.abs(middleX) < span / 2 + 0.6 && Math.abs(middleY) < 1;
      const sub = fine ? SUB : 1;
      if (fine) {
        fineBox.left = Math.min(fineBox.left, x);
        fineBox.right = Math.max(fineBox.right, x);
        fineBox.top = Math.min(fineBox.top, y);
        fineBox.bottom = Math.max(fineBox.bottom, y);
      }
      for (let sy = 0; sy < sub; sy += 1)
        for (let sx = 0; sx < sub; sx += 1) {
          const [px, py] = toPlane(x + (sx + 0.5) / sub, y + (sy + 0.5) / sub);
          // The plane's middle is the middle of the display.
          const [u, v] = [px + span / 2, py + 0.5];
          const window = u > -0.45 && u < span + 0.45 && v > -0.4 && v < 1.4;
          const front = u > -2.2 && u < span + 2.2 && v > -1.8 && v < 3;
          const base = view.ambient * (window ? 0.25 : front ? 1.6 : 0.7);
          const lit = segmentLight(make, shown, u + make.lean * (v - 0.5), v, dimmed);
          let lamp = 0;
          for (const [lx, ly, radius] of lamps) if (Math.hypot(u - lx, v - ly) < radius) lamp = 1;
          for (let c = 0; c < 3; c += 1) sums[c]! += base + view.gain * make.colour[c]! * Math.max(lit, lamp);
        }
      for (let c = 0; c < 3; c += 1) light[(y * width + x) * 3 + c] = sums[c]! / (sub * sub);
    }
  const blurred = view.blur > 0.2 ? blur(light, width, height, view.blur, fineBox) : light;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const { glare } = view;
      const shine = glare
        ? glare.light *
          Math.exp(-((x - glare.x * width) ** 2 + (y - glare.y * height) ** 2) / (2 * glare.reach ** 2))
        : 0;
      for (let c = 0; c < 3; c += 1) {
        const value = Math.min(1, blurred[(y * width + x) * 3 + c]! + shine);
        const curved = value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055;
        // The sum of three even draws is near enough to a normal error.
        const grain = view.noise * (chance() + chance() + chance() - 1.5) * 2;
        data[(y * width + x) * 4 + c] = 255 * (curved + grain);
      }
      data[(y * width + x) * 4 + 3] = 255;
    }
  return { width, height, data };
}

/** Light of the segments at a point of the display's plane, upright; 0 to 1. */
function segmentLight(
  make: Make,
  shown: readonly { pattern: number; point: boolean }[],
  u: number,
  v: number,
  dimmed: (digit: number) => number,
): number {
  const digit = Math.floor((u + (make.pitch - make.width) / 2) / make.pitch);
  if (digit < 0 || digit >= make.digits || v < -0.3 || v > 1.3) return 0;
  const { pattern } = shown[digit]!;
  const x = u - digit * make.pitch;
  const lightOf = (lit: boolean) => (lit ? dimmed(digit) : make.ghost);
  const { size, along, round } = make.point;
  // A point stands in the gap, half of it already where the next digit begins.
  for (const owner of [digit - 1, digit]) {
    if (owner < 0) continue;
    const dx = Math.abs(u - owner * make.pitch - make.width - along);
    const dy = Math.abs(v - 1);
    if (round ? Math.hypot(dx, dy) < size / 2 : Math.max(dx, dy) < size / 2)
      return shown[owner]!.point ? dimmed(owner) : make.ghost;
  }
  const w = make.width;
  const ends = [
    [0, 0, w, 0],
    [w, 0, w, 0.5],
    [w, 0.5, w, 1],
    [0, 1, w, 1],
    [0, 0.5, 0, 1],
    [0, 0, 0, 0.5],
    [0, 0.5, w, 0.5],
  ] as const;
  for (let i = 0; i < SEGMENTS.length; i += 1) {
    const [x0, y0, x1, y1] = ends[i]!;
    const level = y0 === y1;
    const length = level ? x1 - x0 : y1 - y0;
    const alongSegment = level ? x - x0 : v - y0;
    const across = Math.abs(level ? v - y0 : x - x0);
    const half = make.thickness / 2;
    const rest = Math.min(alongSegment, length - alongSegment);
    const inside =
      make.segment === 'square'
        ? across < half && rest > make.gap + half * 0.7
        : make.segment === 'round'
          ? Math.hypot(across, Math.min(0, rest - make.gap - half)) < half && rest > make.gap
          : make.segment === 'mitred'
            ? across < half && rest > make.gap - half + across * (insideOf(i, x, v, w) ? 2 : 0)
            : across < half && rest > make.gap + across;
    if (inside) return lightOf((pattern & (1 << i)) !== 0);
  }
  return 0;
}

/** Mitred segments are longer on their outer side. */
const insideOf = (segment: number, x: number, v: number, w: number): boolean =>
  [v > 0, x < w, x < w, v < 1, x > 0, x > 0, true][segment]!;

/** From the picture to the display's plane, in heights of a digit from the display's middle. */
function fromPicture(view: View): (x: number, y: number) => readonly [number, number] {
  const rad = Math.PI / 180;
  const [roll, yaw, pitch] = [view.roll * rad, view.yaw * rad, view.pitch * rad];
  // The camera looks along z from this many heights away; what is nearer is larger.
  const far = 14;
  const right = [
    Math.cos(yaw) * Math.cos(roll),
    Math.cos(pitch) * Math.sin(roll) + Math.sin(pitch) * Math.sin(yaw) * Math.cos(roll),
    Math.sin(yaw) * Math.cos(roll),
  ] as const;
  const down = [
    -Math.cos(yaw) * Math.sin(roll),
    Math.cos(pitch) * Math.cos(roll) - Math.sin(pitch) * Math.sin(yaw) * Math.sin(roll),
    Math.sin(pitch),
  ] as const;
  return (x, y) => {
    const [a, b] = [(x - view.at[0]) / (view.size * far), (y - view.at[1]) / (view.size * far)];
    // a = (u·right.x + v·down.x) / (far + u·right.z + v·down.z), the same for b: two equations for u and v.
    const m = [
      right[0] - a * right[2],
      down[0] - a * down[2],
      right[1] - b * right[2],
      down[1] - b * down[2],
    ] as const;
    const det = m[0] * m[3] - m[1] * m[2];
    return [(a * far * m[3] - m[1] * b * far) / det, (m[0] * b * far - a * far * m[2]) / det];
  };
}

/** Three passes of a running mean come near a normal blur of that spread (Wells 1986); only where something fine is drawn. */
function blur(
  light: Float32Array,
  width: number,
  height: number,
  sigma: number,
  box: { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number },
): Float32Array {
  const reach = (Math.sqrt((12 * sigma * sigma) / 3 + 1) - 1) / 2;
  const whole = Math.floor(reach);
  const part = reach - whole;
  const to = Float32Array.from(light);
  const line = new Float64Array(Math.max(width, height));
  const along = (start: number, step: number, length: number) => {
    for (let i = 0; i < length; i += 1) line[i] = to[start + i * step]!;
    const last = length - 1;
    let sum = 0;
    for (let k = -whole; k <= whole; k += 1) sum += line[k < 0 ? 0 : k > last ? last : k]!;
    for (let i = 0; i < length; i += 1) {
      const before = line[i - whole - 1 < 0 ? 0 : i - whole - 1]!;
      const after = line[i + whole + 1 > last ? last : i + whole + 1]!;
      to[start + i * step] = (sum + part * (before + after)) / (2 * reach + 1);
      sum += after - line[i - whole < 0 ? 0 : i - whole]!;
    }
  };
  for (let pass = 0; pass < 3; pass += 1)
    for (let c = 0; c < 3; c += 1) {
      for (let y = box.top; y <= box.bottom; y += 1)
        along((y * width + box.left) * 3 + c, 3, box.right - box.left + 1);
      for (let x = box.left; x <= box.right; x += 1)
        along((box.top * width + x) * 3 + c, width * 3, box.bottom - box.top + 1);
    }
  return to;
}

const between = (chance: () => number, from: number, to: number) => from + (to - from) * chance();
const oneOf = <T>(chance: () => number, all: readonly T[]): T => all[Math.floor(chance() * all.length)]!;

/** A display drawn at random, of the shapes that the reader is tuned on. */
export function anyMake(chance: () => number): Make {
  const thickness = between(chance, 0.1, 0.19);
  const width = between(chance, 0.45, 0.62);
  const gapBetween = between(chance, 0.3, 0.5);
  return {
    segment: oneOf(chance, ['hexagon', 'square', 'mitred', 'round']),
    thickness,
    gap: between(chance, 0.01, 0.03),
    width,
    pitch: width + Math.max(gapBetween, thickness * 2.1),
    lean: oneOf(chance, [0, 0, 0.09, 0.14, 0.17]),
    point: {
      size: between(chance, 0.11, 0.16),
      along: Math.max(gapBetween, thickness * 2.1) / 2,
      round: chance() < 0.6,
    },
    colour: oneOf(chance, [
      [1, 0.06, 0.03],
      [1, 0.5, 0.02],
      [0.1, 1, 0.15],
      [0.05, 0.25, 1],
      [1, 1, 1],
    ] as const),
    ghost: oneOf(chance, [0, 0.02, 0.06]),
    digits: oneOf(chance, [3, 3, 3, 4]),
  };
}

/** A view at random: propped up before the display, not always well. `hard`: 0 for a good one, 1 for what a phone may see at worst. */
export function anyView(chance: () => number, hard = 1): View {
  const size = between(chance, 34, 90);
  const off = (limit: number) => between(chance, -limit, limit) * hard;
  return {
    width: 480,
    height: 360,
    size,
    at: [240 + off(50), 180 + off(50)],
    roll: off(12),
    yaw: off(24),
    pitch: off(20),
    gain: between(chance, 0.35, 1 + 0.8 * hard),
    ambient: between(chance, 0.01, 0.02 + 0.1 * hard),
    blur: between(chance, 0.4, 0.6 + size * 0.035 * hard),
    noise: between(chance, 0.004, 0.01 + 0.02 * hard),
    glare:
      chance() < 0.4 * hard
        ? { light: between(chance, 0.05, 0.8), x: chance(), y: chance(), reach: between(chance, 20, 140) }
        : null,
  };
}

/** Something a control may show, in as many digits. */
export function anyText(chance: () => number, digits: number): string {
  const words = ['dEF', 'E1', 'AL', 'HI', 'Lo', 'OFF', 'F05', 'P2', 'H01', 'r1', 'C12', 'SEt', 'dor'].filter(
    (word) => word.length <= digits,
  );
  if (chance() < 0.2) return oneOf(chance, words);
  const value = between(chance, -30, 60);
  const text = chance() < 0.7 ? value.toFixed(1) : value.toFixed(0);
  return text.replace('.', '').length <= digits ? text : value.toFixed(0);
}

/** A usual display, seen well. */
export const goodMake: Make = {
  segment: 'hexagon',
  thickness: 0.14,
  gap: 0.015,
  width: 0.54,
  pitch: 0.94,
  lean: 0.1,
  point: { size: 0.13, along: 0.2, round: true },
  colour: [1, 0.06, 0.03],
  ghost: 0.02,
  digits: 4,
};
export const goodView: View = {
  width: 480,
  height: 360,
  size: 60,
  at: [240, 180],
  roll: 3,
  yaw: 8,
  pitch: -6,
  gain: 0.9,
  ambient: 0.03,
  blur: 0.8,
  noise: 0.01,
  glare: null,
};

/** A text that stands from a moment in seconds on. */
export interface Scripted {
  readonly from: number;
  readonly text: string;
}

/**
 * Pictures of a display that shows what a script says, one after the other. Each text is drawn once, with and without light; noise, the flicker of
 * its supply (`flicker`: the share of the light that is lost at worst) and the beat of its digits (`beat`: turns a second at which one after the
 * other is dark) are laid over each picture.
 */
export function courseOf(
  make: Make,
  view: View,
  script: readonly Scripted[],
  how: {
    readonly seconds: number;
    readonly rate: number;
    readonly flicker: number;
    readonly beat?: number;
    readonly lamp?: (at: number) => boolean;
  },
  chance: () => number,
): readonly { readonly at: number; readonly picture: Picture; readonly lampAt: readonly [number, number] }[] {
  const still = { ...view, noise: 0 };
  const span = (make.digits - 1) * make.pitch + make.width;
  const lampPlace = [span + 0.3, 0.2, 0.07] as const;
  const kept = new Map<string, Picture>();
  const draw = (text: string, dark: number | null, lamp: boolean): Picture => {
    const key = `${text}/${dark}/${lamp}`;
    const picture =
      kept.get(key) ??
      drawn(make, still, text, () => 0.5, {
        lamps: lamp ? [lampPlace] : [],
        dimmed: (digit) => (digit === dark ? 0 : 1),
      });
    kept.set(key, picture);
    return picture;
  };
  const off = draw('', null, false);
  // Where the lamp falls: the middle of what differs between the pictures with and without it.
  const lampAt = how.lamp ? middleOf(draw('', null, true), off) : ([0, 0] as const);
  return Array.from({ length: Math.floor(how.seconds * how.rate) }, (_, i) => {
    const at = i / how.rate + 0.03 * chance();
    const text = script.findLast(({ from }) => from <= at)?.text ?? '';
    const dark = how.beat === undefined ? null : Math.floor(at * how.beat * make.digits) % make.digits;
    const lit = draw(text, dark, how.lamp?.(at) ?? false);
    const share = 1 - how.flicker * chance();
    const data = new Uint8ClampedArray(lit.data.length);
    for (let k = 0; k < data.length; k += 1) {
      const grain = k % 4 === 3 ? 0 : 255 * view.noise * (chance() + chance() + chance() - 1.5) * 2;
      data[k] = off.data[k]! + share * (lit.data[k]! - off.data[k]!) + grain;
    }
    return { at, picture: { ...lit, data }, lampAt };
  });
}

function middleOf(one: Picture, other: Picture): readonly [number, number] {
  let [x, y, sum] = [0, 0, 0];
  for (let i = 0; i < one.data.length; i += 4) {
    const by = Math.abs(one.data[i]! - other.data[i]!);
    x += by * ((i / 4) % one.width);
    y += by * Math.floor(i / 4 / one.width);
    sum += by;
  }
  return [x / sum, y / sum];
}
