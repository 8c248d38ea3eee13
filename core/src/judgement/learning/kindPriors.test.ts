import { describe, expect, test } from '@jest/globals';
import { chance, normal } from '../../foundation/statistics/index.ts';
import {
  BOX_FORMAT,
  parameterIds,
  parameters,
  parametersWith,
  type BoxFile,
  type ParameterId,
  type Priors,
} from '../../machines/identification/index.ts';
import { kindPriors } from './kindPriors.ts';

/** A box as it would be learned: true values met with an error, drawn to what was thought before as a posterior is. */
function learnedBox(
  truth: readonly number[],
  errors: readonly number[],
  random: () => number,
  priors?: Priors,
) {
  const thought = parametersWith(priors);
  const told = truth.map((value, i) => {
    const [error, { usual, spread }] = [errors[i]!, thought[i]!];
    const precision = 1 / error ** 2 + 1 / spread ** 2;
    const measured = value + error * normal(random);
    return { at: (measured / error ** 2 + usual / spread ** 2) / precision, variance: 1 / precision };
  });
  return {
    format: BOX_FORMAT,
    parameters: Object.fromEntries(
      parameterIds.map((id) => [id, { value: 1, error: 1, unit: '', from: 'log' }]),
    ),
    point: told.map(({ at }) => at),
    covariance: told.map(({ variance }, i) => told.map((_, k) => (i === k ? variance : 0))),
    ...(priors && { priors }),
    fit: {},
    findings: [],
  } as unknown as BoxFile;
}

const indexOf = (id: ParameterId) => parameterIds.indexOf(id);
const fewErrors = parameters.map((p) => p.spread * 0.3);

/** Units of a kind whose machines give 30 % less than usual, and differ by a tenth; all else as usual. */
function kind(count: number, random: () => number, priors?: Priors): readonly BoxFile[] {
  return Array.from({ length: count }, () =>
    learnedBox(
      parameters.map((p, i) =>
        i === indexOf('capacity')
          ? Math.log(0.7) + 0.1 * normal(random)
          : p.usual + p.spread * normal(random),
      ),
      fewErrors,
      random,
      priors,
    ),
  );
}

describe('what boxes of a kind have in common', () => {
  // Oracle: the kind that they were made from; bounds are three standard errors of the mean of 60 kinds.
  test('is met over many kinds, and what was thought before is taken out again', () => {
    const random = chance(5);
    for (const priors of [undefined, { capacity: { usual: 0.2, spread: 0.25 } }]) {
      const found = Array.from({ length: 60 }, () => kindPriors(kind(8, random, priors)).capacity!);
      const middle = found.reduce((sum, f) => sum + f.usual, 0) / found.length;
      // Drawn a little to the usual, by the share of what is not known of the mean.
      expect(Math.abs(middle - Math.log(0.7))).toBeLessThan(0.035);
      const spread = found.reduce((sum, f) => sum + f.spread, 0) / found.length;
      expect(spread).toBeGreaterThan(0.1);
      expect(spread).toBeLessThan(0.16);
    }
  });

  // Oracle: coverage. A further unit of the kind lies within 1.645 spreads nine times out of ten.
  test('holds a further unit as often as it says', () => {
    const random = chance(9);
    let inside = 0;
    const kinds = 300;
    for (let k = 0; k < kinds; k++) {
      const { usual, spread } = kindPriors(kind(6, random)).wallLoss!;
      const next =
        parameters[indexOf('wallLoss')]!.usual + parameters[indexOf('wallLoss')]!.spread * normal(random);
      if (Math.abs(next - usual) < 1.645 * spread) inside++;
    }
    expect(inside / kinds).toBeGreaterThan(0.8);
    expect(inside / kinds).toBeLessThan(0.97);
  });

  test('is not said of four, nor of boxes without their point, nor of the logger', () => {
    const random = chance(3);
    expect(kindPriors(kind(4, random))).toEqual({});
    const five = kind(5, random);
    expect(Object.keys(kindPriors(five))).not.toContain('loggerOffset');
    expect(Object.keys(kindPriors(five))).toContain('capacity');
    expect(kindPriors(five.map(({ point: _, ...box }) => box))).toEqual({});
  });

  test('is not said of what fewer than five logs tell', () => {
    const random = chance(4);
    const blind = (box: BoxFile): BoxFile => ({
      ...box,
      covariance: box.covariance!.map((row, i) =>
        i === indexOf('heater') ? row.map((_, k) => (k === i ? parameters[i]!.spread ** 2 : 0)) : row,
      ),
    });
    const five = kind(5, random);
    const said = kindPriors([blind(five[0]!), ...five.slice(1)]);
    expect(said.heater).toBeUndefined();
    expect(said.wallLoss).toBeDefined();
  });
});
