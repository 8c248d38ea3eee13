import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { quantity, valueIn } from '../../foundation/quantities/index.ts';
import type { NumberEncoding } from './definition.ts';
import { decodeNumber, encodeNumber, printScale, scaleOf } from './numberCode.ts';

const celsius = { unit: 'degC', decimal: true } as const;
const fahrenheit = { unit: 'degF', decimal: true } as const;
const wholeF = { unit: 'degF', decimal: false } as const;

const temperature: NumberEncoding = {
  type: 'number',
  unit: 'displayTemperature',
  min: -30,
  max: 30,
  default: 3,
  resolution: { withDecimal: 0.1, without: 1 },
  rangeUnit: 'degC',
};
const difference: NumberEncoding = {
  ...temperature,
  unit: 'displayDifference',
  min: 0.1,
  max: 10,
  default: 1,
  rangeUnit: 'K',
};

describe('a number on the display', () => {
  test('range and default are brought to the shown unit, the range inward to the resolution', () => {
    // Oracle: −30…30 °C is −22…86 °F, 3 °C is 37.4 °F; 0.1…10 K is 0.18…18 dF, so 0.2 and 18; 1 K is 1.8 dF.
    expect(scaleOf(temperature, fahrenheit)).toMatchObject({
      unit: 'degF',
      min: -22,
      max: 86,
      default: 37.4,
      resolution: 0.1,
    });
    expect(scaleOf(difference, fahrenheit)).toMatchObject({
      unit: 'deltaF',
      min: 0.2,
      max: 18,
      default: 1.8,
    });
    expect(scaleOf(difference, wholeF)).toMatchObject({ min: 1, max: 18, default: 2, resolution: 1 });
  });

  test.each([
    // Oracle: conversions by hand.
    [quantity(-9.4, 'degF'), celsius, -23, false, false],
    [quantity(-18, 'degC'), wholeF, 0, true, false],
    [quantity(2, 'deltaF'), celsius, 1.1, true, false],
    [quantity(50, 'degC'), celsius, 30, false, true],
    [quantity(50, 'degC'), wholeF, 86, false, true],
    [quantity(37, 'degF'), wholeF, 37, false, false],
  ] as const)('%j at %j shows %f', (q, display, value, rounded, clamped) => {
    const encoding = q.unit === 'deltaF' ? difference : temperature;
    expect(encodeNumber(q, encoding, display)).toEqual({ value, rounded, clamped });
  });

  test('33 °F + 1 dF through °C is rounded once: 34 °F is 1.1 °C, not 0.6 + 0.6', () => {
    expect(encodeNumber(quantity(33 + 1, 'degF'), temperature, celsius)?.value).toBe(1.1);
  });

  test('−18 °C through a whole-degree °F control comes back as −17.8 °C', () => {
    const shown = encodeNumber(quantity(-18, 'degC'), temperature, wholeF)!.value;
    const back = decodeNumber(shown, temperature, wholeF);
    expect(valueIn(back as never, 'degC')).toBeCloseTo(-17.7778, 4);
  });

  test('a low offset typed as a negative number is a positive width', () => {
    const low: NumberEncoding = { ...difference, min: -15, max: 0, default: -3, sign: -1 };
    expect(encodeNumber(quantity(5, 'K'), low, celsius)?.value).toBe(-5);
    expect(decodeNumber(-5, low, celsius)).toEqual({ value: 5, unit: 'K' });
  });

  test('a unit that does not fit is no code', () => {
    expect(encodeNumber(quantity(5, 'K'), temperature, celsius)).toBeNull();
    expect(encodeNumber(5, temperature, celsius)).toBeNull();
  });

  test('whatever is encoded lies in range and on the resolution, and is a fixed point', () => {
    fc.assert(
      fc.property(fc.integer({ min: -900, max: 900 }), fc.boolean(), fc.boolean(), (tenths, isF, decimal) => {
        const display = { unit: isF ? 'degF' : 'degC', decimal } as const;
        const scale = scaleOf(temperature, display);
        const code = encodeNumber(quantity(tenths / 10, 'degC'), temperature, display)!;
        expect(code.value).toBeGreaterThanOrEqual(scale.min);
        expect(code.value).toBeLessThanOrEqual(scale.max);
        expect(
          Math.abs(code.value / scale.resolution - Math.round(code.value / scale.resolution)),
        ).toBeLessThan(1e-6);
        const again = encodeNumber(decodeNumber(code.value, temperature, display), temperature, display)!;
        expect(again).toEqual({ value: code.value, rounded: false, clamped: false });
        // Half a step is the most that rounding may move a value inside the range.
        if (!code.clamped) {
          const moved = Math.abs(valueIn(quantity(tenths / 10, 'degC'), display.unit) - code.value);
          expect(moved).toBeLessThanOrEqual(scale.resolution / 2 + 1e-6);
        }
      }),
      { seed: 7, numRuns: 500 },
    );
  });

  test('a scale is said in words', () => {
    expect(printScale(scaleOf(difference, fahrenheit))).toBe('0.2 to 18 dF in steps of 0.1');
  });
});
