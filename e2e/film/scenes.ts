/** A display as Chromium draws it with typefaces of segment displays (DSEG, by Keshikan), and how the camera sees it. None of the reader's own drawings. */
export interface Scene {
  readonly face: string;
  readonly weight: 'Light' | 'Regular' | 'Bold';
  readonly leaning: boolean;
  readonly colour: string;
  /** Light of the dark segments, 0 to 1. */
  readonly ghost: number;
  /** Height of the letters, in pixels of 480. */
  readonly size: number;
  readonly digits: number;
  /** Degrees. */
  readonly roll: number;
  readonly yaw: number;
  readonly pitch: number;
  readonly shift: readonly [number, number];
  /** Pixels out of focus. */
  readonly blur: number;
  readonly glow: number;
  readonly front: string;
  readonly glare: {
    readonly x: number;
    readonly y: number;
    readonly reach: number;
    readonly light: number;
  } | null;
  /** Noise of the camera in grey levels; share of its light that a display lit at another beat than the camera's loses. */
  readonly noise: number;
  readonly flicker: number;
}

const FACES = ['DSEG7-Classic', 'DSEG7-Modern', 'DSEG7-Classic-MINI', 'DSEG7-Modern-MINI'] as const;
const COLOURS = ['#ff2a1c', '#ff9a18', '#36ff4a', '#3f8cff', '#f4f8ff'] as const;
const FRONTS = ['#1b1e20', '#3a3f42', '#7b8184', '#c9ccca'] as const;

/** A scene drawn at random: tilted, out of focus, with a reflection and a flicker. */
export function anyScene(chance: () => number): Scene {
  const between = (from: number, to: number) => from + (to - from) * chance();
  const oneOf = <T>(all: readonly T[]): T => all[Math.floor(chance() * all.length)]!;
  const size = between(48, 110);
  return {
    face: oneOf(FACES),
    weight: oneOf(['Light', 'Regular', 'Bold'] as const),
    leaning: chance() < 0.5,
    colour: oneOf(COLOURS),
    ghost: oneOf([0, 0.04, 0.1]),
    size,
    digits: oneOf([3, 3, 4]),
    roll: between(-9, 9),
    yaw: between(-22, 22),
    pitch: between(-18, 18),
    shift: [between(-50, 50), between(-50, 50)],
    blur: between(0.3, size * 0.035),
    glow: between(0, size * 0.08),
    front: oneOf(FRONTS),
    glare:
      chance() < 0.4
        ? { x: between(0, 1), y: between(0, 1), reach: between(60, 220), light: between(0.1, 0.75) }
        : null,
    noise: between(1, 7),
    flicker: oneOf([0, 0, 0.3, 0.7]),
  };
}
