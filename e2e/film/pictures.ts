import type { Page } from 'puppeteer-core';
import { draw, HEIGHT, WIDTH, type Drawing } from './draw.ts';
import type { Scene } from './scenes.ts';

/** What stands on the display for so many seconds, and which of its lamps are lit. */
export interface Shot {
  readonly seconds: number;
  readonly text: string;
  readonly lamps?: readonly boolean[];
}

/** One display, and what it shows one after the other. */
export interface Clip {
  readonly scene: Scene;
  readonly shots: readonly Shot[];
}

/** Pictures a second. */
export const RATE = 10;
const GRAINS = 1 << 16;

/**
 * The pictures of a clip, each with the moment it was taken in seconds. Each has its own noise, the flicker of the display's supply as a band that
 * runs down it, and a hand's tremble.
 */
export async function* picturesOf(
  page: Page,
  { scene, shots }: Clip,
  chance: () => number,
): AsyncGenerator<{ readonly at: number; readonly yuv: Buffer }> {
  const grain = grains(chance);
  let [dx, dy, begins] = [0, 0, 0];
  for (const { seconds, text, lamps = [] } of shots) {
    const lit = await draw(page, scene, text, lamps);
    const dark = scene.flicker === 0 ? lit : await draw(page, { ...scene, ghost: 0 }, '', []);
    for (let i = 0; i < seconds * RATE; i += 1) {
      if (chance() < 0.15) [dx, dy] = [tremble(dx, chance), tremble(dy, chance)];
      yield { at: begins + i / RATE, yuv: picture(scene, lit, dark, dx, dy, grain, chance) };
    }
    begins += seconds;
  }
}

/** A picture as a page has it: red, green, blue and one more byte a pixel, by the same curves back. */
export function asPixels(yuv: Buffer): {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
} {
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  const [blue, red] = [WIDTH * HEIGHT, (WIDTH * HEIGHT * 5) / 4];
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const half = (y >> 1) * (WIDTH / 2) + (x >> 1);
      const [light, cb, cr] = [yuv[y * WIDTH + x]!, yuv[blue + half]! - 128, yuv[red + half]! - 128];
      const at = (y * WIDTH + x) * 4;
      data[at] = light + 1.402 * cr;
      data[at + 1] = light - 0.344136 * cb - 0.714136 * cr;
      data[at + 2] = light + 1.772 * cb;
    }
  return { width: WIDTH, height: HEIGHT, data };
}

/** Errors of a camera, drawn once: each picture begins somewhere else in them. */
function grains(chance: () => number): Float32Array {
  return Float32Array.from({ length: GRAINS }, () => (chance() + chance() + chance() - 1.5) * 2);
}

const tremble = (from: number, chance: () => number): number =>
  Math.max(-2, Math.min(2, from + Math.round(chance() * 2 - 1)));

/** One picture: light, and half as much colour each way (ITU-R BT.601, full range). */
function picture(
  { flicker, noise }: Scene,
  lit: Drawing,
  dark: Drawing,
  dx: number,
  dy: number,
  grains: Float32Array,
  chance: () => number,
): Buffer {
  const out = Buffer.alloc((WIDTH * HEIGHT * 3) / 2);
  const [blue, red] = [WIDTH * HEIGHT, (WIDTH * HEIGHT * 5) / 4];
  const phase = chance() * 2 * Math.PI;
  let next = Math.floor(chance() * GRAINS);
  for (let y = 0; y < HEIGHT; y += 1) {
    const share = 1 - flicker * (0.5 + 0.5 * Math.sin(phase + (y / HEIGHT) * 9));
    next = (next + Math.floor(chance() * 97)) % GRAINS;
    const fromY = Math.min(HEIGHT - 1, Math.max(0, y + dy));
    for (let x = 0; x < WIDTH; x += 1) {
      const at = (fromY * WIDTH + Math.min(WIDTH - 1, Math.max(0, x + dx))) * 3;
      const r = dark[at]! + share * (lit[at]! - dark[at]!);
      const g = dark[at + 1]! + share * (lit[at + 1]! - dark[at + 1]!);
      const b = dark[at + 2]! + share * (lit[at + 2]! - dark[at + 2]!);
      next = (next + 1) % GRAINS;
      const grain = noise * grains[next]!;
      out[y * WIDTH + x] = clamp(0.299 * r + 0.587 * g + 0.114 * b + grain);
      if (x % 2 === 0 && y % 2 === 0) {
        const half = (y / 2) * (WIDTH / 2) + x / 2;
        out[blue + half] = clamp(128 - 0.168736 * r - 0.331264 * g + 0.5 * b);
        out[red + half] = clamp(128 + 0.5 * r - 0.418688 * g - 0.081312 * b);
      }
    }
  }
  return out;
}

const clamp = (value: number): number => Math.max(0, Math.min(255, Math.round(value)));
