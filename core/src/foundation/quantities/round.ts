/** How far a quotient may lie from a half and still count as one: binary fractions such as 2.25/0.1 = 22.499999999999996. */
const HALF_TOLERANCE = 1e-9;

/** Decimal places that a resolution needs: 0.1 → 1, 0.5 → 1, 1 → 0, 2.5 → 1, 60 → 0, 1e-7 → 7. */
export function decimalsOf(resolution: number): number {
  const known = knownDecimals.get(resolution);
  if (known !== undefined) return known;
  const decimals = readDecimals(resolution);
  // Resolutions are few; what else is asked is not kept without end.
  if (knownDecimals.size >= MOST_KNOWN) knownDecimals.clear();
  knownDecimals.set(resolution, decimals);
  return decimals;
}

/** Planning key strokes asks for the decimals of one resolution at each turn of a value: a third of its time went into writing it as a text. */
const knownDecimals = new Map<number, number>();
const MOST_KNOWN = 1000;

function readDecimals(resolution: number): number {
  const [mantissa = '', exponent = '0'] = String(resolution).split('e');
  const fraction = mantissa.split('.')[1]?.length ?? 0;
  return Math.max(0, fraction - Number(exponent));
}

/** A number without binary dust: `clean(0.1 * 3, 1)` is 0.3; never −0. */
export function clean(value: number, decimals: number): number {
  return Number(value.toFixed(Math.min(decimals, 100))) + 0;
}

/**
 * The multiple of `resolution` nearest to `value`, halves away from zero, counted from 0.
 * `roundTo(-22.45, 0.1)` is −22.5 (toFixed would say −22.4). Resolution must be above 0.
 */
export function roundTo(value: number, resolution: number): number {
  const steps = Math.floor(Math.abs(value) / resolution + 0.5 + HALF_TOLERANCE);
  return clean(Math.sign(value) * steps * resolution, decimalsOf(resolution));
}

/** The least multiple of `resolution` that is not below `value`. */
export function ceilTo(value: number, resolution: number): number {
  return clean(Math.ceil(value / resolution - HALF_TOLERANCE) * resolution, decimalsOf(resolution));
}

/** The greatest multiple of `resolution` that is not above `value`. */
export function floorTo(value: number, resolution: number): number {
  return clean(Math.floor(value / resolution + HALF_TOLERANCE) * resolution, decimalsOf(resolution));
}
