import { writeFileSync } from 'node:fs';
import { encode } from 'uqr';

const [WIDTH, HEIGHT] = [640, 480];
const CELL = 8;
const FRAMES = 10;
const [DARK, LIGHT, GREY] = [20, 235, 128];

/**
 * Writes what a camera sees that is held before a QR code: a grey wall with the code on white paper, as uncompressed video
 * (YUV4MPEG2), which Chromium plays in place of a camera.
 */
export function filmOfCode(path: string, text: string): void {
  const { data, size } = encode(text, { ecc: 'M', border: 4 });
  const left = Math.floor((WIDTH - size * CELL) / 2);
  const top = Math.floor((HEIGHT - size * CELL) / 2);
  const luma = Buffer.alloc(WIDTH * HEIGHT, GREY);
  for (let y = 0; y < size * CELL; y += 1)
    for (let x = 0; x < size * CELL; x += 1)
      luma[(top + y) * WIDTH + left + x] = data[Math.floor(y / CELL)]![Math.floor(x / CELL)] ? DARK : LIGHT;
  // Colourless: both colour planes, a quarter of the size each, at their middle.
  const frame = Buffer.concat([
    Buffer.from('FRAME\n'),
    luma,
    Buffer.alloc((WIDTH / 2) * (HEIGHT / 2) * 2, GREY),
  ]);
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`);
  writeFileSync(path, Buffer.concat([head, ...Array.from({ length: FRAMES }, () => frame)]));
}
