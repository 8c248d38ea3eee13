import { closeSync, openSync, writeSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { HEIGHT, WIDTH } from './draw.ts';
import { picturesOf, RATE, type Clip } from './pictures.ts';

/** Films displays one after the other, as uncompressed video (YUV4MPEG2) that Chromium plays in place of a camera, over and over. */
export async function film(
  page: Page,
  path: string,
  clips: readonly Clip[],
  chance: () => number,
): Promise<void> {
  const file = openSync(path, 'w');
  writeSync(file, `YUV4MPEG2 W${WIDTH} H${HEIGHT} F${RATE}:1 Ip A1:1 C420jpeg\n`);
  for (const clip of clips)
    for await (const { yuv } of picturesOf(page, clip, chance)) {
      writeSync(file, 'FRAME\n');
      writeSync(file, yuv);
    }
  closeSync(file);
}
