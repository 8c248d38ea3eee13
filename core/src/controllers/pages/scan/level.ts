import type { Ink, Picture } from './picture.ts';

/** Steepest slant looked for, and the step, degrees. */
const STEEPEST = 4;
const STEP = 0.25;

/**
 * How far the lines of print slant, degrees, clockwise positive: the angle at which the ink, added up along the lines, is most uneven (Postl's projection profile method). 0 where
 * there is too little ink to tell.
 */
export function slantOf({ width, height, ink }: Ink): number {
  const places: number[] = [];
  for (let i = 0; i < ink.length; i++) if (ink[i]) places.push(i);
  if (places.length < 200) return 0;
  const every = Math.max(1, Math.floor(places.length / MOST_PLACES));
  const uneven = (degrees: number) => {
    const slope = Math.tan((degrees * Math.PI) / 180);
    const rows = new Float64Array(height + 2 * Math.ceil(width * Math.abs(slope)) + 2);
    const shift = slope > 0 ? Math.ceil(width * slope) : 0;
    for (let n = 0; n < places.length; n += every) {
      const at = places[n]!;
      const x = at % width;
      const y = (at - x) / width;
      rows[Math.round(y - x * slope) + shift]! += 1;
    }
    let sum = 0;
    for (let i = 1; i < rows.length; i++) sum += (rows[i]! - rows[i - 1]!) ** 2;
    return sum;
  };
  let best = 0;
  let most = uneven(0) * LEVEL_UNLESS;
  for (let degrees = -STEEPEST; degrees <= STEEPEST; degrees += STEP) {
    const here = uneven(degrees);
    if (here > most) [best, most] = [degrees, here];
  }
  return best;
}
const MOST_PLACES = 200_000;
/** A picture is taken as level unless another angle is clearly better. */
const LEVEL_UNLESS = 1.05;

/** Turns a picture by so many degrees clockwise around its middle; what comes in from outside is white. */
export function turned({ width, height, grey }: Picture, degrees: number): Picture {
  if (degrees === 0) return { width, height, grey };
  const out = new Uint8Array(width * height).fill(255);
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  const [mx, my] = [(width - 1) / 2, (height - 1) / 2];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const fromX = cos * (x - mx) + sin * (y - my) + mx;
      const fromY = -sin * (x - mx) + cos * (y - my) + my;
      const left = Math.floor(fromX);
      const top = Math.floor(fromY);
      if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) continue;
      const dx = fromX - left;
      const dy = fromY - top;
      const at = top * width + left;
      out[y * width + x] = Math.round(
        (grey[at]! * (1 - dx) + grey[at + 1]! * dx) * (1 - dy) +
          (grey[at + width]! * (1 - dx) + grey[at + width + 1]! * dx) * dy,
      );
    }
  return { width, height, grey: out };
}
