/** The median of numbers; NaN of none. The numbers stay as they are. */
export function median(numbers: ArrayLike<number>): number {
  return quantile(numbers, 0.5);
}

/** A quantile by linear interpolation between order statistics (Hyndman and Fan's type 7); NaN of none. */
export function quantile(numbers: ArrayLike<number>, share: number): number {
  if (numbers.length === 0) return Number.NaN;
  const sorted = Float64Array.from(numbers).sort();
  const at = (sorted.length - 1) * share;
  const low = Math.floor(at);
  return sorted[low]! + (at - low) * (sorted[Math.min(low + 1, sorted.length - 1)]! - sorted[low]!);
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

/** A straight line y = intercept + slope·x by least squares; slope 0 where the x do not differ. */
export function straightLine(
  x: readonly number[],
  y: readonly number[],
): { readonly slope: number; readonly intercept: number } {
  const n = x.length;
  const mx = x.reduce((sum, v) => sum + v, 0) / n;
  const my = y.reduce((sum, v) => sum + v, 0) / n;
  let [sxx, sxy] = [0, 0];
  for (let i = 0; i < n; i += 1) {
    sxx += (x[i]! - mx) ** 2;
    sxy += (x[i]! - mx) * (y[i]! - my);
  }
  const slope = sxx > 0 ? sxy / sxx : 0;
  return { slope, intercept: my - slope * mx };
}
