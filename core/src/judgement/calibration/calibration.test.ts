import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { displayOf, scaleOf } from '../../controllers/definitions/index.ts';
import { quantity } from '../../foundation/quantities/index.ts';
import { families } from '../../../testing/families.ts';
import { calibrate } from './fit.ts';
import { checkTag } from './tag.ts';
import { expandedUncertainty, platinumClassOf, recorderVerdicts } from './accuracy.ts';
import { judgeComparison, offsetUnitText } from './comparison.ts';
import { offsetParameters, proposeOffset, shownBeforeAndAfter } from './offset.ts';

test('one point proves nothing: its own offset leaves no residual, and no class is said', () => {
  const { offsetOnly, slopeAndOffset } = calibrate([{ reading: 1.2, reference: 0 }]);
  expect(offsetOnly).toMatchObject({ maxResidual: 0, platinum: 'none', recorder: null });
  expect(slopeAndOffset).toBeNull();
});

describe('one point', () => {
  const all = [...families.values()].flatMap((definition) =>
    offsetParameters(definition).map(({ parameter }) => ({
      id: definition.id,
      code: parameter.code,
      definition,
      parameter,
    })),
  );

  test('all families have an offset of their own', () => {
    expect(new Set(all.map(({ id }) => id)).size).toBe(families.size);
  });

  // Oracle: reads 44, true 42, offset now +1: 1 + 42 − 44 = −1 in whatever degrees the code stands in (common practice).
  test.each(all)('reads 44, true 42, offset now +1: −1 in $code of the $id', ({ definition, parameter }) => {
    const display = displayOf(definition, new Map());
    const unit = scaleOf(parameter.encoding, display).unit === 'deltaF' ? 'degF' : 'degC';
    const proposal = proposeOffset({
      definition,
      parameter,
      display,
      reads: quantity(44, unit),
      truth: quantity(42, unit),
      existing: 1 * (parameter.encoding.sign ?? 1),
    });
    expect(proposal.value).toBe(-1 * (parameter.encoding.sign ?? 1));
    expect([proposal.clamped, proposal.rounded]).toEqual([false, false]);
    expect(proposal.remainingK).toBeCloseTo(0, 9);
  });

  // Oracle: the display of now is the truth and the mean error; that of then is the truth less what rounding or the end of the range
  // leaves. Both must come out of the code's own scale, sign and unit.
  test.each(all)('display now and then of $code of the $id', ({ definition, parameter }) => {
    for (const unit of ['degC', 'degF'] as const) {
      const place = { definition, parameter, display: { unit, decimal: false } };
      const points = [
        { reading: 5, reference: 3.6 },
        { reading: 12, reference: 11 },
      ];
      const { proposal, shown } = judgeComparison({ ...place, points, existing: 1, referenceK: 0.1 });
      expect(proposal.unitText).toBe(offsetUnitText(place));
      for (const { trueC, before, after } of shown) {
        expect(before).toBeCloseTo(trueC + 1.2, 9);
        expect(after).toBeCloseTo(trueC - proposal.remainingK, 9);
      }
    }
  });

  test('an offset without a unit of its own stands in that of the tag: °F steps are 5/9 K', () => {
    const heat = families.get('sluice-h')!;
    const definition = { ...heat, sensorTag: { ...heat.sensorTag!, signalUnit: 'degF' as const } };
    const parameter = offsetParameters(definition)[0]!.parameter;
    const encoding = { ...parameter.encoding, unit: 'none' as const, min: -20, max: 20, sign: 1 as const };
    const { proposal, shown } = judgeComparison({
      definition,
      parameter: { ...parameter, encoding },
      display: { unit: 'degC', decimal: false },
      points: [{ reading: 10, reference: 5 }],
      existing: 0,
      referenceK: 0,
    });
    expect(proposal.unitText).toBe('dF');
    expect(shown[1]!.after).toBeCloseTo(-proposal.remainingK, 9);
  });

  test('without a point there is nothing to judge', () => {
    const [{ definition, parameter }] = all as [(typeof all)[number]];
    expect(() =>
      judgeComparison({
        definition,
        parameter,
        display: displayOf(definition, new Map()),
        points: [],
        existing: 0,
        referenceK: 0,
      }),
    ).toThrow(RangeError);
  });

  test('display 58 with +1 already in and 55 true: −2; a step and the end of the range are said (common practice)', () => {
    const definition = families.get('tarn-1')!;
    const parameter = offsetParameters(definition)[0]!.parameter;
    const propose = (display: 'degC' | 'degF', reads: number, truth: number, existing: number) =>
      proposeOffset({
        definition,
        parameter,
        display: { unit: display, decimal: false },
        reads: quantity(reads, display),
        truth: quantity(truth, display),
        existing,
      });
    expect(propose('degF', 58, 55, 1)).toMatchObject({ value: -2, text: '−2', unitText: 'dF' });
    const step = propose('degC', 4, 5.4, 0);
    expect([step.value, step.rounded]).toEqual([1, true]);
    expect(step.remainingK).toBeCloseTo(0.4, 9);
    const far = propose('degC', 30, 4, 0);
    expect([far.value, far.clamped]).toEqual([-5, true]);
    expect(far.cautions.join()).toContain('wrong sensor type');
    expect(propose('degC', 8, 4, 0).cautions.join()).toContain('more than a sound probe needs');
  });
});

describe('several points', () => {
  test('a pure offset is found, and what stood in the control is part of it', () => {
    const points = [
      { reading: 1.5, reference: 0 },
      { reading: 21.5, reference: 20 },
    ];
    const { offsetOnly, advised } = calibrate(points, 1);
    expect(offsetOnly.offsetK).toBeCloseTo(-0.5, 12);
    expect(offsetOnly.offsetDeltaF).toBeCloseTo(-0.9, 12);
    expect([offsetOnly.platinum, advised]).toEqual(['AA', 'offsetOnly']);
  });

  // Oracle: points made from a line; the °F form by substitution of T_F = 1.8 T_C + 32.
  test('any line is found again, in °C and in °F (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.9, max: 1.1, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (slope, offset) => {
          const points = [-20, 0, 30].map((reading) => ({ reading, reference: slope * reading + offset }));
          const fitted = calibrate(points).slopeAndOffset!;
          expect(fitted.slope).toBeCloseTo(slope, 9);
          expect(fitted.offsetK).toBeCloseTo(offset, 9);
          expect(fitted.maxResidual).toBeLessThan(1e-9);
          for (const { reading, reference } of points)
            expect(fitted.slope * (1.8 * reading + 32) + fitted.offsetDeltaF).toBeCloseTo(
              1.8 * reference + 32,
              8,
            );
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });

  // Oracle: Anscombe's first data set (The American Statistician 27 (1973) 17): slope 0.5001, intercept 3.0001.
  test('least squares agrees with a published data set', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
    const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
    const fitted = calibrate(x.map((reading, i) => ({ reading, reference: y[i]! }))).slopeAndOffset!;
    expect(fitted.slope).toBeCloseTo(0.50009, 5);
    expect(fitted.offsetK).toBeCloseTo(3.00009, 5);
    expect(fitted.residuals.reduce((sum, r) => sum + r, 0)).toBeCloseTo(0, 9);
  });

  test('a slope is advised only over a wide span that an offset does not serve', () => {
    const steep = (...readings: number[]) =>
      readings.map((reading) => ({ reading, reference: 1.08 * reading + 1 }));
    expect(calibrate(steep(0, 20)).advised).toBe('slopeAndOffset');
    expect(calibrate(steep(0, 8)).advised).toBe('offsetOnly');
    expect(calibrate(steep(4)).slopeAndOffset).toBeNull();
    expect(calibrate(steep(4, 4)).slopeAndOffset).toBeNull();
  });

  test('classes hold up to their limits and no further', () => {
    expect(platinumClassOf([{ celsius: 0, kelvin: 0.3 }])).toBe('B');
    expect(platinumClassOf([{ celsius: 0, kelvin: 0.301 }])).toBe('C');
    expect(platinumClassOf([{ celsius: 0, kelvin: 0.7 }])).toBe('none');
    expect(recorderVerdicts([{ celsius: 4, kelvin: -0.5 }])).toEqual({ '0.5': true, '1': true, '2': true });
    expect(recorderVerdicts([{ celsius: 4, kelvin: 1.2 }])).toEqual({ '0.5': false, '1': false, '2': true });
  });

  test('uncertainty: reference, step and scatter in quadrature, twice', () => {
    expect(expandedUncertainty({ reference: 0.2, resolution: 0, residuals: [0], fitted: 1 })).toBeCloseTo(
      0.2,
      12,
    );
    expect(expandedUncertainty({ reference: 0, resolution: 1, residuals: [0], fitted: 1 })).toBeCloseTo(
      2 / Math.sqrt(12),
      12,
    );
    expect(
      expandedUncertainty({ reference: 0, resolution: 0, residuals: [0.1, -0.1], fitted: 1 }),
    ).toBeCloseTo(2 * Math.sqrt(0.02), 12);
  });

  test('what the display will show before and after', () => {
    const shown = shownBeforeAndAfter(
      [-18, 0, 20],
      (t) => t + 2,
      { slope: 1, offsetK: 1 },
      { slope: 1, offsetK: -2 },
    );
    expect(shown.map((s) => [s.before, s.after])).toEqual([
      [-15, -18],
      [3, 0],
      [23, 20],
    ]);
  });
});

describe('a tag', () => {
  const ranges = { slope: { from: 9.5, to: 30 }, offset: { from: 0.1, to: 0.6 } };
  const codes = (input: Parameters<typeof checkTag>[0]) => checkTag(input).map((f) => f.code);

  test('2.0431 typed for a tag of 20.431 is stopped by its range, by the second typing, and by what stands there', () => {
    expect(checkTag({ slope: 2.0431, offset: 0.31, ranges })[0]).toMatchObject({
      code: 'decimalSlip',
      severity: 'error',
      field: 'slope',
      suggested: 20.431,
    });
    expect(codes({ slope: 2.0431, offset: 0.31, again: { slope: 20.431, offset: 0.31 } })).toEqual([
      'typedDifferently',
    ]);
    expect(
      checkTag({ slope: 2.0431, offset: 0.31, present: { slope: 20.02, offset: 0.3 } })[0],
    ).toMatchObject({ code: 'tenfoldChange', severity: 'error' });
    expect(
      codes({
        slope: 20.431,
        offset: 0.31,
        ranges,
        again: { slope: 20.431, offset: 0.31 },
        present: { slope: 20.02, offset: 0.3 },
      }),
    ).toEqual([]);
  });

  test('0.031 for 0.31, and what no power of ten mends', () => {
    expect(checkTag({ slope: 10.079, offset: 0.031, ranges })).toEqual([
      expect.objectContaining({ code: 'decimalSlip', field: 'offset', suggested: 0.31 }),
    ]);
    expect(checkTag({ slope: -4, offset: 0.3, ranges })[0]).toMatchObject({
      code: 'outOfRange',
      suggested: null,
    });
  });

  test('the tag of the other sensor is recognised', () => {
    expect(
      codes({ slope: 10.02, offset: 0.2, other: { name: 'return', present: { slope: 10.02, offset: 0.2 } } }),
    ).toEqual(['swapped']);
    expect(
      codes({ slope: 1, offset: 0, other: { name: 'return', present: { slope: 1, offset: 0 } } }),
    ).toEqual([]);
  });

  test('every slip of one to three places is caught where the range is narrower than tenfold (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 9.6, max: 29, noNaN: true }),
        fc.constantFrom(-3, -2, -1, 1, 2, 3),
        (slope, places) => {
          const typed = slope * 10 ** places;
          const found = checkTag({ slope: typed, offset: 0.3, ranges });
          expect(found[0]?.code).toBe('decimalSlip');
          expect(found[0]!.suggested).toBeCloseTo(slope, 6);
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });
});
