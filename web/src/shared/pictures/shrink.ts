import { jpegOf, onCanvas } from './canvas.ts';

/** A picture ready to be kept: small, without anything but the picture. */
export interface SmallPicture {
  readonly jpeg: Blob;
  readonly width: number;
  readonly height: number;
}

/** Longest edge of a kept picture: a terminal's print can still be read. */
const LONGEST = 1400;

/** Shrinks a picture on the device by drawing it anew, which also leaves its place and camera behind. */
export async function shrink(file: Blob): Promise<SmallPicture> {
  const canvas = await onCanvas(file, LONGEST);
  if (!canvas)
    throw new Error('This file is no picture that the browser can open; expected JPEG, PNG or the like.');
  return { jpeg: await jpegOf(canvas), width: canvas.width, height: canvas.height };
}
