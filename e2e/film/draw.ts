import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';
import type { Scene } from './scenes.ts';

export const [WIDTH, HEIGHT] = [640, 480];

const require = createRequire(import.meta.url);

/** A picture of a scene: red, green, blue of each pixel, rows from the top. */
export type Drawing = Buffer;

/** What a text takes in this typeface: its dark digit is an exclamation mark. */
const written = (text: string, digits: number): string => {
  const lit = [...text].filter((character) => character !== '.').length;
  return '!'.repeat(Math.max(0, digits - lit)) + text.replaceAll(' ', '!').replaceAll('−', '-').toUpperCase();
};

/** Draws a scene with a text, and lamps beside it, in Chromium's own three dimensions. */
export async function draw(
  page: Page,
  scene: Scene,
  text: string,
  lamps: readonly boolean[] = [],
): Promise<Drawing> {
  const file = `${scene.face.replace('DSEG7-', 'DSEG7').replace('-MINI', 'Mini')}-${scene.weight.replace('Regular', scene.leaning ? '' : 'Regular')}${scene.leaning ? 'Italic' : ''}.woff2`;
  const path = require.resolve(`dseg/fonts/${scene.face}/${file}`);
  const font = readFileSync(path).toString('base64');
  await page.setViewport({ width: WIDTH, height: HEIGHT });
  await page.setContent(pageOf(scene, font, text, lamps));
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  const png = await page.screenshot({ encoding: 'base64' });
  const raw = await page.evaluate(async (picture) => {
    const bitmap = await createImageBitmap(await (await fetch(`data:image/png;base64,${picture}`)).blob());
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d')!;
    context.drawImage(bitmap, 0, 0);
    const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
    let bytes = '';
    for (let i = 0; i < data.length; i += 4)
      bytes += String.fromCharCode(data[i]!, data[i + 1]!, data[i + 2]!);
    return btoa(bytes);
  }, png);
  return Buffer.from(raw, 'base64');
}

function pageOf(scene: Scene, font: string, text: string, lamps: readonly boolean[]): string {
  const { glare, size } = scene;
  const ghost = Array.from({ length: scene.digits }, () => '8.').join('');
  const scale = size / 1;
  return `<!doctype html><style>
@font-face { font-family: seg; src: url(data:font/woff2;base64,${font}); }
body { margin: 0; background: #5a5f62; overflow: hidden; width: ${WIDTH}px; height: ${HEIGHT}px; perspective: ${scale * 11}px; filter: blur(${scene.blur}px); }
.front { position: absolute; left: 50%; top: 50%; padding: ${size * 0.9}px ${size * 1.1}px; background: ${scene.front};
  transform: translate(-50%, -50%) translate(${scene.shift[0]}px, ${scene.shift[1]}px) rotateZ(${scene.roll}deg) rotateY(${scene.yaw}deg) rotateX(${scene.pitch}deg); }
.window { position: relative; background: #0c0d0e; padding: ${size * 0.38}px ${size * 0.45}px; font: ${size}px/1 seg; white-space: pre; }
.ghost { opacity: ${scene.ghost}; color: ${scene.colour}; }
.text { position: absolute; inset: ${size * 0.38}px ${size * 0.45}px; text-align: right; color: ${scene.colour}; text-shadow: 0 0 ${scene.glow}px ${scene.colour}; }
.lamp { position: absolute; right: ${size * -0.55}px; width: ${size * 0.16}px; height: ${size * 0.16}px; border-radius: 50%; background: #222; }
.on { background: ${scene.colour}; }
.glare { position: absolute; inset: 0; mix-blend-mode: plus-lighter; ${
    glare
      ? `background: radial-gradient(circle ${glare.reach}px at ${glare.x * WIDTH}px ${glare.y * HEIGHT}px, rgb(255 255 255 / ${glare.light}), transparent)`
      : ''
  } }
</style><div class="front"><div class="window"><div class="ghost">${ghost}</div><div class="text">${written(text, scene.digits)}</div>${lamps
    .map((on, i) => `<span class="lamp ${on ? 'on' : ''}" style="top:${size * (0.3 + i * 0.6)}px"></span>`)
    .join('')}</div></div><div class="glare"></div>`;
}
