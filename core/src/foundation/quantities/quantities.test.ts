import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { baseValue, convert, sameQuantity, valueIn } from './convert.ts';
import { ceilTo, decimalsOf, floorTo, roundTo } from './round.ts';
import { parseNumber, parseQuantity } from './parse.ts';
import { printFixed, printFor, printQuantity } from './print.ts';
import { quantity } from './quantity.ts';
import type { Unit } from './units.ts';

const seed = { seed: 20261125, numRuns: 500 };

describe('temperatures and differences', () => {
  // Oracle: the definition of the Fahrenheit scale, exact fractions worked by hand.
  test.each([
    [-9.4, -23.0],
    [-7.6, -22.0],
    [0, -160 / 9],
    [41, 5],
    [-40, -40],
    [90, 290 / 9],
  ])('%f °F is %f °C', (f, c) => {
    expect(valueIn(quantity(f, 'degF'), 'degC')).toBeCloseTo(c, 12);
  });

  // Oracle: differences scale by 5/9 and never lose 32.
  test.each([
    [2, 10 / 9],
    [5, 25 / 9],
    [-3, -5 / 3],
    [0, 0],
  ])('a difference of %f °F is %f K', (f, k) => {
    expect(valueIn(quantity(f, 'deltaF'), 'K')).toBeCloseTo(k, 12);
  });

  test('set 38 with 5 above it restarts at 43, in either unit (common practice)', () => {
    const cutIn = baseValue(quantity(38, 'degF')) + baseValue(quantity(5, 'deltaF'));
    expect(valueIn(quantity(cutIn, 'degC'), 'degF')).toBeCloseTo(43, 9);
  });

  test('a temperature cannot be written as a difference', () => {
    expect(() => valueIn(quantity(2, 'degF'), 'K')).toThrow('degF cannot be written in K');
    expect(sameQuantity(quantity(0, 'degC'), quantity(0, 'K'))).toBe(false);
  });

  test('every unit survives a round trip through its base unit', () => {
    const unit = fc.constantFrom<Unit>('degC', 'degF', 'K', 'deltaF', 's', 'min', 'h');
    fc.assert(
      fc.property(unit, unit, fc.double({ min: -500, max: 500, noNaN: true }), (from, to, value) => {
        const q = quantity(value, from);
        if (from === to || !sameKind(from, to)) return;
        expect(valueIn(convert(q, to), from)).toBeCloseTo(value, 8);
      }),
      seed,
    );
  });
});

describe('rounding', () => {
  // Oracle: halves away from zero by hand; JavaScript's toFixed says -22.4 and 1.0 for the first two.
  test.each([
    [-22.45, 0.1, -22.5],
    [1.005, 0.01, 1.01],
    [2.25, 0.1, 2.3],
    [-0.04, 0.1, 0],
    [0.5, 1, 1],
    [-0.5, 1, -1],
    [37, 2.5, 37.5],
    [95, 10, 100],
    [0.30000000000000004, 0.1, 0.3],
  ])('%f in steps of %f is %f', (value, step, rounded) => {
    expect(roundTo(value, step)).toBe(rounded);
  });

  test('never gives a negative zero', () => {
    expect(Object.is(roundTo(-0.04, 0.1), 0)).toBe(true);
    expect(printFixed(-0.04, 1)).toBe('0.0');
  });

  test('is the nearest multiple, for any step (naive model: compare both neighbours)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -5000, max: 5000 }),
        fc.constantFrom(0.1, 0.5, 1, 2.5, 10),
        (tenths, step) => {
          const value = tenths / 37;
          const rounded = roundTo(value, step);
          expect(Math.abs(rounded - value)).toBeLessThanOrEqual(step / 2 + 1e-9);
          expect(Math.abs(rounded / step - Math.round(rounded / step))).toBeLessThan(1e-9);
          expect(ceilTo(value, step)).toBeGreaterThanOrEqual(value - 1e-9);
          expect(floorTo(value, step)).toBeLessThanOrEqual(value + 1e-9);
        },
      ),
      seed,
    );
  });

  test('knows the places a step needs', () => {
    expect([1, 0.1, 0.5, 2.5, 60, 1e-7].map(decimalsOf)).toEqual([0, 1, 1, 1, 0, 7]);
  });
});

describe('what a person types', () => {
  test.each([
    ['37F', 37, 'degF'],
    ['2.8C', 2.8, 'degC'],
    ['-9.4 °F', -9.4, 'degF'],
    ['−9,4 °F', -9.4, 'degF'],
    ['5K', 5, 'K'],
    ['9dF', 9, 'deltaF'],
    ['9 deltaF', 9, 'deltaF'],
    ['20min', 20, 'min'],
    ['6 h', 6, 'h'],
    ['90s', 90, 's'],
    ['9.0k', 9000, 'ohm'],
    ['25M', 25e6, 'ohm'],
    ['60 %', 60, '%'],
  ] as const)('%s is read', (text, value, unit) => {
    expect(parseQuantity(text)).toEqual({ ok: true, value: { value, unit } });
  });

  test.each([
    ['38', 'has no unit'],
    ['warm', 'is no quantity'],
    ['5 parsecs', '“parsecs” is no unit'],
    ['1.2.3F', 'is no quantity'],
    ['', 'is no quantity'],
  ])('%j is refused with what was expected', (text, part) => {
    const parsed = parseQuantity(text);
    expect(parsed).toMatchObject({ ok: false });
    expect(!parsed.ok && parsed.problem).toContain(part);
    expect(!parsed.ok && parsed.problem).toContain('expected');
  });

  test('2F where a difference is wanted is refused, not converted', () => {
    expect(parseQuantity('2F', 'temperatureDifference')).toEqual({
      ok: false,
      problem: '“2F” is a temperature; expected a difference such as 5K or 9dF',
    });
  });

  test('reads decimal commas and refuses thousands separators', () => {
    expect(parseNumber('2,5')).toBe(2.5);
    expect(parseNumber('1,000.5')).toBeNull();
    expect(parseNumber('1e3')).toBeNull();
  });

  test('what is printed is read back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -999, max: 999 }),
        fc.constantFrom<Unit>('degC', 'degF', 'K', 'deltaF', 'min'),
        (n, unit) => {
          const q = quantity(n / 10, unit);
          expect(parseQuantity(printQuantity(q))).toEqual({ ok: true, value: q });
        },
      ),
      seed,
    );
  });

  test('a reader of °C sees 2 dF as 1.1 K', () => {
    expect(printFor(quantity(2, 'deltaF'), 'degC')).toBe('1.1 K');
    expect(printFor(quantity(-23, 'degC'), 'degF')).toBe('−9.4 °F');
    expect(printFor(quantity(20, 'min'), 'degF')).toBe('20 min');
  });
});

function sameKind(a: Unit, b: Unit): boolean {
  const kinds = [
    ['degC', 'degF'],
    ['K', 'deltaF'],
    ['s', 'min', 'h'],
  ];
  return kinds.some((kind) => kind.includes(a) && kind.includes(b));
}
