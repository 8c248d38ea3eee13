import { expect, test } from '@jest/globals';
import { chance, normal } from './chance.ts';
import { randomEffects } from './randomEffects.ts';

/** Thirteen trials of a vaccine: ill and well with it, ill and well without (G. A. Colditz et al., JAMA 271 (1994), 698). */
const trials = [
  [4, 119, 11, 128],
  [6, 300, 29, 274],
  [3, 228, 11, 209],
  [62, 13536, 248, 12619],
  [33, 5036, 47, 5761],
  [180, 1361, 372, 1079],
  [8, 2537, 10, 619],
  [505, 87886, 499, 87892],
  [29, 7470, 45, 7232],
  [17, 1699, 65, 1600],
  [186, 50448, 141, 27197],
  [5, 2493, 3, 2338],
  [27, 16886, 29, 17825],
] as const;

// Oracle: variance between 0.3181 and mean -0.7150 by Paule and Mandel, as W. Viechtbauer's metafor gives them for these trials (J. Stat. Softw. 36 (2010), 3); from memory.
test('trials of a vaccine come to the published mean and variance between them', () => {
  const values = trials.map(([a, b, c, d]) => Math.log(a / (a + b) / (c / (c + d))));
  const variances = trials.map(([a, b, c, d]) => 1 / a - 1 / (a + b) + 1 / c - 1 / (c + d));
  const { mean, between } = randomEffects(values, variances);
  expect(between).toBeCloseTo(0.3181, 3);
  expect(mean).toBeCloseTo(-0.715, 3);
});

// Oracle: closed forms. With like errors the mean is the plain one and what lies between is the sample variance less the error's.
test('like errors give the plain mean and the variance less the error', () => {
  const { mean, error, between } = randomEffects([1, 2, 4, 5], [0.5, 0.5, 0.5, 0.5]);
  expect(mean).toBeCloseTo(3, 12);
  expect(between).toBeCloseTo(10 / 3 - 0.5, 9);
  expect(error).toBeCloseTo(Math.sqrt(10 / 3 / 4), 9);
});

test('values that differ by less than they err have nothing between them', () => {
  expect(randomEffects([1, 1.1, 0.9], [1, 4, 1]).between).toBe(0);
});

// Oracle: the values it was made from; the standard error of 400 means.
test('the mean and the variance between are met over many kinds', () => {
  const random = chance(12);
  const found = Array.from({ length: 400 }, () => {
    const variances = Array.from({ length: 8 }, () => (0.05 + 0.3 * random()) ** 2);
    return randomEffects(
      variances.map((v) => 0.4 + 0.25 * normal(random) + Math.sqrt(v) * normal(random)),
      variances,
    );
  });
  const meanOf = (of: (one: (typeof found)[number]) => number) =>
    found.reduce((sum, one) => sum + of(one), 0) / found.length;
  expect(Math.abs(meanOf((one) => one.mean) - 0.4)).toBeLessThan(0.02);
  expect(Math.abs(meanOf((one) => one.between) - 0.0625)).toBeLessThan(0.008);
});
