/** A picture as a camera gives it: rows from the top, four bytes a pixel (red, green, blue, one unused). */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** How much light falls on each point, 0 to 1 of what the camera can tell, rows from the top. */
export interface Light {
  readonly width: number;
  readonly height: number;
  /** What is read: the strongest colour, or how far it is above the weakest. */
  readonly data: Float32Array;
  /** The strongest colour: where that is at its end, nothing can be told. */
  readonly strongest: Float32Array;
}

/** A picture by its strongest colour, which tells white displays too, and by how colourful it is, which grey fronts and reflections are not. */
export interface Lights {
  readonly strongest: Light;
  readonly colour: Light;
}

/** A byte of a picture as light: the curve that cameras and screens share (IEC 61966-2-1), so that light adds up. */
const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const s = byte / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
});

/** The light of a picture at `width` points a row or less; pixels that fall on one point are averaged. */
export function lightsOf(picture: Picture, width: number): Lights {
  const step = Math.max(1, picture.width / width);
  const columns = Math.floor(picture.width / step);
  const rows = Math.floor(picture.height / step);
  const strongest = new Float32Array(columns * rows);
  const colour = new Float32Array(columns * rows);
  for (let y = 0; y < rows; y += 1) {
    const fromY = Math.floor(y * step);
    const toY = Math.max(fromY + 1, Math.floor((y + 1) * step));
    for (let x = 0; x < columns; x += 1) {
      const fromX = Math.floor(x * step);
      const toX = Math.max(fromX + 1, Math.floor((x + 1) * step));
      let [red, green, blue] = [0, 0, 0];
      for (let py = fromY; py < toY; py += 1)
        for (let px = fromX; px < toX; px += 1) {
          const at = (py * picture.width + px) * 4;
          red += LINEAR[picture.data[at]!]!;
          green += LINEAR[picture.data[at + 1]!]!;
          blue += LINEAR[picture.data[at + 2]!]!;
        }
      const pixels = (toY - fromY) * (toX - fromX);
      const most = Math.max(red, green, blue) / pixels;
      strongest[y * columns + x] = most;
      colour[y * columns + x] = most - Math.min(red, green, blue) / pixels;
    }
  }
  const size = { width: columns, height: rows };
  return {
    strongest: { ...size, data: strongest, strongest },
    colour: { ...size, data: colour, strongest },
  };
}

/** The light at a point between the pixels; beyond the edge, that of the edge. */
export const lightAt = (light: Light, x: number, y: number): number =>
  between(light.data, light.width, light.height, x, y);

/** The strongest colour there. */
export const strongestAt = (light: Light, x: number, y: number): number =>
  between(light.strongest, light.width, light.height, x, y);

function between(data: Float32Array, width: number, height: number, x: number, y: number): number {
  const cx = x < 0 ? 0 : x > width - 1.001 ? width - 1.001 : x;
  const cy = y < 0 ? 0 : y > height - 1.001 ? height - 1.001 : y;
  const x0 = cx | 0;
  const y0 = cy | 0;
  const at = y0 * width + x0;
  const fx = cx - x0;
  const fy = cy - y0;
  return (
    (data[at]! * (1 - fx) + data[at + 1]! * fx) * (1 - fy) +
    (data[at + width]! * (1 - fx) + data[at + width + 1]! * fx) * fy
  );
}
