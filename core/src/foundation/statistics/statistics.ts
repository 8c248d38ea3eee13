import { median as middle, quantileSorted } from 'd3-array';

/** The median of numbers; NaN of none. The numbers stay as they are. */
export const median = (numbers: ArrayLike<number>): number => middle(Array.from(numbers)) ?? Number.NaN;

/** A quantile by linear interpolation between order statistics (Hyndman and Fan's type 7); NaN of none. */
export function quantile(numbers: ArrayLike<number>, share: number): number {
  return quantileSorted(Array.from(Float64Array.from(numbers).sort()), share) ?? Number.NaN;
}

/** Mean of the middle half: nearly as steady as the mean, and deaf to outliers such as the first start after a defrost. */
export function middleMean(numbers: readonly number[]): number {
  if (numbers.length < 4) return median(numbers);
  const sorted = numbers.toSorted((a, b) => a - b);
  const cut = Math.floor(sorted.length / 4);
  const kept = sorted.slice(cut, sorted.length - cut);
  return kept.reduce((sum, n) => sum + n, 0) / kept.length;
}

/** Half the spread that holds the middle two thirds, as one standard deviation of a normal spread: half of (q84 − q16). */
export function spreadOf(numbers: readonly number[]): number {
  return numbers.length < 2 ? 0 : (quantile(numbers, 0.8413) - quantile(numbers, 0.1587)) / 2;
}
