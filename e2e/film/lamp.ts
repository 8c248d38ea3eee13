import type { Page } from 'puppeteer-core';
import { draw, HEIGHT, WIDTH } from './draw.ts';
import type { Scene } from './scenes.ts';

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
