/** The size of a picture whose longest edge is no longer than that; never larger than it was. */
export function shrunkSize(
  width: number,
  height: number,
  longest: number,
): { width: number; height: number } {
  const ratio = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * ratio)), height: Math.max(1, Math.round(height * ratio)) };
}

/** A picture on a canvas, upright as its camera says and its longest edge no longer than that; null where the browser cannot open it. */
export async function onCanvas(file: Blob, longest: number): Promise<HTMLCanvasElement | null> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null);
  if (!bitmap) return null;
  const { width, height } = shrunkSize(bitmap.width, bitmap.height, longest);
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return canvas;
}

const QUALITY = 0.8;

/**
 * A canvas as a picture small enough to keep.
 *
 * @throws Error where the browser makes none
 */
export async function jpegOf(canvas: HTMLCanvasElement): Promise<Blob> {
  const jpeg = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
  if (!jpeg) throw new Error('The picture could not be made smaller in this browser.');
  return jpeg;
}
