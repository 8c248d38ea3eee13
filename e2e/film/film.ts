import { closeSync, openSync, writeSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { draw, HEIGHT, WIDTH, type Drawing } from './draw.ts';
import type { Scene } from './scenes.ts';

/** What stands on the display for so many seconds, and which of its lamps are lit. */
export interface Shot {
  readonly seconds: number;
  readonly text: string;
  readonly lamps?: readonly boolean[];
}

const RATE = 10;
const GRAINS = 1 << 16;

/** Where lamps are in a scene, in shares of the picture: the middle of what differs when one alone is lit. */
export async function lampIn(page: Page, scene: Scene, lamp: number): Promise<readonly [number, number]> {
  const lamps = (on: boolean) => Array.from({ length: lamp + 1 }, (_, i) => on && i === lamp);
  const [off, on] = [await draw(page, scene, '', lamps(false)), await draw(page, scene, '', lamps(true))];
  let [x, y, sum] = [0, 0, 0];
  for (let i = 0; i < WIDTH * HEIGHT; i += 1) {
    const by = Math.abs(on[i * 3]! - off[i * 3]!);
    x += by * (i % WIDTH);
    y += by * Math.floor(i / WIDTH);
    sum += by;
  }
  return [x / sum / WIDTH, y / sum / HEIGHT];
}

/**
 * Films a display that shows one thing after the other, as uncompressed video (YUV4MPEG2) that Chromium plays in place of a camera, over and over.
 * Each picture has its own noise, the flicker of the display's supply as a band that runs down it, and a hand's tremble.
 */
export async function film(
  page: Page,
  path: string,
  scenes: readonly { readonly scene: Scene; readonly shots: readonly Shot[] }[],
  chance: () => number,
): Promise<void> {
  const file = openSync(path, 'w');
  const grain = grains(chance);
  writeSync(file, `YUV4MPEG2 W${WIDTH} H${HEIGHT} F${RATE}:1 Ip A1:1 C420jpeg\n`);
  for (const { scene, shots } of scenes) {
    let [dx, dy] = [0, 0];
    for (const { seconds, text, lamps = [] } of shots) {
      const lit = await draw(page, scene, text, lamps);
      const dark = scene.flicker === 0 ? lit : await draw(page, { ...scene, ghost: 0 }, '', []);
      for (let i = 0; i < seconds * RATE; i += 1) {
        if (chance() < 0.15) [dx, dy] = [tremble(dx, chance), tremble(dy, chance)];
        writeSync(file, 'FRAME\n');
        writeSync(file, picture(scene, lit, dark, dx, dy, grain, chance));
      }
    }
  }
  closeSync(file);
}

/** Errors of a camera, drawn once: each picture begins somewhere else in them. */
function grains(chance: () => number): Float32Array {
  return Float32Array.from({ length: GRAINS }, () => (chance() + chance() + chance() - 1.5) * 2);
}

const tremble = (from: number, chance: () => number): number =>
  Math.max(-2, Math.min(2, from + Math.round(chance() * 2 - 1)));

/** One picture: light and half as much colour each way, as that format has it (ITU-R BT.601, full range). */
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
