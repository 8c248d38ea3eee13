/** A picture ready to be kept: small, without anything but the picture. */
export interface SmallPicture {
  readonly jpeg: Blob;
  readonly width: number;
  readonly height: number;
}

/** Longest edge of a kept picture: a terminal's print can still be read. */
const LONGEST = 1400;
const QUALITY = 0.8;

/** The size of a picture whose longest edge is no longer than that; never larger than it was. */
export function shrunkSize(
  width: number,
  height: number,
  longest = LONGEST,
): { width: number; height: number } {
  const ratio = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * ratio)), height: Math.max(1, Math.round(height * ratio)) };
}

/** Shrinks a picture on the device by drawing it anew, which also leaves its place and camera behind. */
export async function shrink(file: Blob): Promise<SmallPicture> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('This file is no picture that the browser can open; expected JPEG, PNG or the like.');
  }
  const { width, height } = shrunkSize(bitmap.width, bitmap.height);
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const jpeg = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
  if (!jpeg) throw new Error('The picture could not be made smaller in this browser.');
  return { jpeg, width, height };
}
