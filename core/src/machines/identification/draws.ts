import { chance, cholesky, normal } from '../../foundation/statistics/index.ts';
import { parameters } from './parameters.ts';

/**
 * Points drawn from what was learned: normal about the middle with its covariance (Laplace's approximation), within the bounds. The same seed gives the same points; each second
 * one mirrors the one before it, so that their mean is the middle.
 */
export function drawPoints(
  at: Float64Array,
  covariance: Float64Array,
  count: number,
  seed: number,
): readonly Float64Array[] {
  const n = at.length;
  const l = cholesky(covariance, n);
  if (!l) throw new RangeError('drawPoints: the covariance is not positive definite');
  const random = chance(seed);
  const points: Float64Array[] = [];
  let z = new Float64Array(n);
  for (let i = 0; i < count; i += 1) {
    z = i % 2 === 1 ? z.map((x) => -x) : Float64Array.from({ length: n }, () => normal(random));
    points.push(
      Float64Array.from({ length: n }, (_, row) => {
        let moved = at[row]!;
        for (let k = 0; k <= row; k += 1) moved += l[row * n + k]! * z[k]!;
        return Math.min(parameters[row]!.upper, Math.max(parameters[row]!.lower, moved));
      }),
    );
  }
  return points;
}
