import { expect, test } from '@jest/globals';
import { drawPoints } from './draws.ts';
import { parameters, usualPoint } from './parameters.ts';

const n = parameters.length;

/** Unlike spreads, and two numbers that err together. */
function covarianceOf(): Float64Array {
  const c = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) c[i * n + i] = (0.02 + 0.005 * i) ** 2;
  c[1] = c[n] = 0.8 * 0.02 * 0.025;
  return c;
}

test('points have the middle and the covariance that they are drawn from', () => {
  const covariance = covarianceOf();
  const at = usualPoint();
  const points = drawPoints(at, covariance, 4000, 7);
  const mean = (i: number) => points.reduce((sum, p) => sum + p[i]!, 0) / points.length;
  for (const [i, p] of parameters.entries()) {
    // Each second point mirrors the one before it: the mean is the middle, where no bound is met.
    if (p.lower < p.usual - 0.6) expect(mean(i)).toBeCloseTo(at[i]!, 9);
  }
  const [a, b] = [mean(0), mean(1)];
  const together = points.reduce((sum, p) => sum + (p[0]! - a) * (p[1]! - b), 0) / points.length;
  // 4,000 draws: a covariance errs by some 2 to 3 %.
  expect(together / covariance[1]!).toBeCloseTo(1, 1);
});

test('the same seed gives the same points, another seed others', () => {
  const draw = (seed: number) => drawPoints(usualPoint(), covarianceOf(), 3, seed).map((p) => [...p]);
  expect(draw(5)).toEqual(draw(5));
  expect(draw(5)).not.toEqual(draw(6));
});

test('no point leaves the bounds', () => {
  const wide = covarianceOf().map((c, i) => (i % (n + 1) === 0 ? 100 : c));
  for (const point of drawPoints(usualPoint(), wide, 50, 3))
    for (const [i, { lower, upper }] of parameters.entries()) {
      expect(point[i]).toBeGreaterThanOrEqual(lower);
      expect(point[i]).toBeLessThanOrEqual(upper);
    }
});
