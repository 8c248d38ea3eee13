import { readScan, type LetterReader, type Picture } from '@brine/core/controllers/pages';
import { CalledOff, core } from '../../workers/corePool.ts';
import { jpegOf, onCanvas } from '../../shared/pictures/canvas.ts';
import type { KeptPage } from './bookletStorage.ts';
import { Stopped, unlessStopped, type Reading } from './reading.ts';

/** Longest side of a photograph that is read, pixels: a page at 250 dots an inch. */
const LONGEST = 2800;

/** A photograph on a canvas, as large as it is read. */
export async function canvasOf(file: File): Promise<HTMLCanvasElement> {
  const canvas = await onCanvas(file, LONGEST);
  if (!canvas) throw new Error(`${file.name} cannot be read as a picture; expected PNG, JPEG or WebP`);
  return canvas;
}

/** Reads a page that is a picture: set level, its rulings taken out, then letter by letter. */
export async function photoPage(
  number: number,
  canvas: HTMLCanvasElement,
  read: LetterReader,
  reading: Reading,
): Promise<KeptPage> {
  unlessStopped(reading);
  reading.progress('Setting the page level', 0, 1);
  const { width, height } = canvas;
  const rgba = canvas.getContext('2d')!.getImageData(0, 0, width, height).data;
  const prepared = await core
    .run('prepareScan', { rgba, width, height }, { signal: reading.signal })
    .catch((error: unknown) => {
      throw error instanceof CalledOff ? new Stopped() : error;
    });
  unlessStopped(reading);
  const level = prepared ? drawn(prepared.level) : canvas;
  const page = { page: number, width, height, picture: await jpegOf(level), rows: 0 };
  if (!prepared) return { ...page, pieces: [] };
  reading.progress('Reading letters', 0, 1);
  const pieces = await readScan(
    prepared,
    async (picture, signs) => {
      unlessStopped(reading);
      return await read(picture, signs);
    },
    (done, of) => reading.progress('Reading letters', done, of),
  );
  return { ...page, pieces };
}

/** A grey picture on a canvas. */
export function drawn({ width, height, grey }: Picture): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const image = new ImageData(width, height);
  for (let i = 0; i < grey.length; i++) {
    image.data[4 * i] = image.data[4 * i + 1] = image.data[4 * i + 2] = grey[i]!;
    image.data[4 * i + 3] = 255;
  }
  canvas.getContext('2d')!.putImageData(image, 0, 0);
  return canvas;
}
