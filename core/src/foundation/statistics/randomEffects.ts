/** What several measurements of a kind have in common, each with its own error. */
export interface RandomEffects {
  readonly mean: number;
  /** Standard error of the mean. */
  readonly error: number;
  /** Variance between the true values, without what the measurements err; 0 where they differ by no more than that. */
  readonly between: number;
}

/** Rounds of the search: each halves what is not known of the variance between. */
const ROUNDS = 80;

/**
 * Mean of a kind and how its members differ, from measurements whose errors are known (a random effects model): the variance between is such that the weighted squares about the mean come to one less than their number.
 *
 * @param values at least two
 * @param variances the square of each measurement's standard error, above 0
 * @source R. C. Paule and J. Mandel, Consensus values and weighting factors, J. Res. Natl. Bur. Stand. 87 (1982), 377
 */
export function randomEffects(values: readonly number[], variances: readonly number[]): RandomEffects {
  const meanAt = (between: number) => {
    let [sum, weights] = [0, 0];
    for (const [i, value] of values.entries()) {
      const weight = 1 / (variances[i]! + between);
      sum += weight * value;
      weights += weight;
    }
    return { mean: sum / weights, weights };
  };
  /** Above zero while too little is laid to what lies between; falls as that grows. */
  const leftAt = (between: number) => {
    const { mean } = meanAt(between);
    const squares = values.reduce((sum, v, i) => sum + (v - mean) ** 2 / (variances[i]! + between), 0);
    return squares - (values.length - 1);
  };
  let [low, high] = [0, 0];
  if (leftAt(0) > 0) {
    // So much lies between at most: the whole spread, with any weights.
    high = Math.max(...values.map((v) => (v - values[0]!) ** 2)) * values.length;
    for (let round = 0; round < ROUNDS; round++) {
      const middle = (low + high) / 2;
      if (leftAt(middle) > 0) low = middle;
      else high = middle;
    }
  }
  const between = (low + high) / 2;
  const { mean, weights } = meanAt(between);
  return { mean, error: Math.sqrt(1 / weights), between };
}
