import type { Picture } from './picture.ts';

/** Part of a picture, pixels. */
export interface Part {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Cuts a part out, with a white margin around it: letters at the very edge are not read. */
export function cutOut(picture: Picture, part: Part, margin: number): Picture {
  const left = Math.max(0, Math.floor(part.left));
  const top = Math.max(0, Math.floor(part.top));
  const right = Math.min(picture.width, Math.ceil(part.right));
  const bottom = Math.min(picture.height, Math.ceil(part.bottom));
  const width = Math.max(0, right - left) + 2 * margin;
  const height = Math.max(0, bottom - top) + 2 * margin;
  const grey = new Uint8Array(width * height).fill(255);
  for (let y = top; y < bottom; y++)
    grey.set(
      picture.grey.subarray(y * picture.width + left, y * picture.width + right),
      (y - top + margin) * width + margin,
    );
  return { width, height, grey };
}

/** Makes a picture larger or smaller by a factor, between four neighbours (bilinear). */
export function scaled(picture: Picture, factor: number): Picture {
  if (factor === 1) return picture;
  const width = Math.max(1, Math.round(picture.width * factor));
  const height = Math.max(1, Math.round(picture.height * factor));
  const grey = new Uint8Array(width * height);
  const at = (x: number, y: number) => picture.grey[y * picture.width + x]!;
  for (let y = 0; y < height; y++) {
    const fromY = Math.min(picture.height - 1, Math.max(0, (y + 0.5) / factor - 0.5));
    const top = Math.min(picture.height - 1, Math.floor(fromY));
    const below = Math.min(picture.height - 1, top + 1);
    for (let x = 0; x < width; x++) {
      const fromX = Math.min(picture.width - 1, Math.max(0, (x + 0.5) / factor - 0.5));
      const left = Math.floor(fromX);
      const right = Math.min(picture.width - 1, left + 1);
      const dx = fromX - left;
      const dy = fromY - top;
      grey[y * width + x] = Math.round(
        (at(left, top) * (1 - dx) + at(right, top) * dx) * (1 - dy) +
          (at(left, below) * (1 - dx) + at(right, below) * dx) * dy,
      );
    }
  }
  return { width, height, grey };
}
