/** Squared spread of x below which a line has no slope. Ours. */
const NO_SPREAD = 1e-12;

/**
 * A straight line y = intercept + slope·x by least squares; slope 0 through the mean where the x do not differ. Library functions give NaN
 * there. `straightLine([0, 1, 2], [1, 3, 5])` is slope 2, intercept 1.
 */
export function straightLine(
  x: readonly number[],
  y: readonly number[],
): { readonly slope: number; readonly intercept: number; readonly spread: number } {
  const n = x.length;
  const mx = x.reduce((sum, v) => sum + v, 0) / n;
  const my = y.reduce((sum, v) => sum + v, 0) / n;
  let [sxx, sxy] = [0, 0];
  for (let i = 0; i < n; i += 1) {
    sxx += (x[i]! - mx) ** 2;
    sxy += (x[i]! - mx) * (y[i]! - my);
  }
  const slope = sxx > NO_SPREAD ? sxy / sxx : 0;
  return { slope, intercept: my - slope * mx, spread: sxx };
}
