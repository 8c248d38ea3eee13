/** A grey picture: one byte a pixel, rows from the top, 0 black to 255 white. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly grey: Uint8Array;
}

/** A picture of ink alone: 1 where there is ink. */
export interface Ink {
  readonly width: number;
  readonly height: number;
  readonly ink: Uint8Array;
}

/** Grey from red, green, blue and opacity, four bytes a pixel, on white paper. Weights of ITU-R BT.601. */
export function greyOf(rgba: ArrayLike<number>, width: number, height: number): Picture {
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i++) {
    const [red, green, blue, opacity] = [rgba[4 * i]!, rgba[4 * i + 1]!, rgba[4 * i + 2]!, rgba[4 * i + 3]!];
    const on = opacity / 255;
    grey[i] = Math.round((0.299 * red + 0.587 * green + 0.114 * blue) * on + 255 * (1 - on));
  }
  return { width, height, grey };
}
