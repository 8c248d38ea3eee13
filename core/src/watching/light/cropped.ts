import type { Light } from './light.ts';

/** A part of a picture, and where its upper left corner was. Edges between points are taken outwards; what lies outside is left out. */
export function cropped(
  light: Light,
  fromX: number,
  fromY: number,
  toX: number,
  toY: number,
): { readonly left: number; readonly top: number; readonly light: Light } {
  const left = Math.max(0, Math.floor(fromX));
  const top = Math.max(0, Math.floor(fromY));
  const width = Math.max(1, Math.min(light.width, Math.ceil(toX)) - left);
  const height = Math.max(1, Math.min(light.height, Math.ceil(toY)) - top);
  const part = (from: Float32Array) => {
    const to = new Float32Array(width * height);
    for (let y = 0; y < height; y += 1)
      to.set(
        from.subarray((top + y) * light.width + left, (top + y) * light.width + left + width),
        y * width,
      );
    return to;
  };
  const data = part(light.data);
  const strongest = light.strongest === light.data ? data : part(light.strongest);
  return { left, top, light: { width, height, data, strongest } };
}
