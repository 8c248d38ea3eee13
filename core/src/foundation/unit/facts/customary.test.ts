import { describe, expect, test } from '@jest/globals';
import { shownUnitOfFact } from './customary.ts';

// Oracle: NIST Special Publication 811 (2008), appendix B.8, to the digits printed there.
describe('customary units of facts', () => {
  test.each([
    ['m', 'ft', 3.048e-1],
    ['m²', 'ft²', 9.290304e-2],
    ['m³', 'ft³', 2.831685e-2],
    ['mm', 'in', 25.4],
    ['l', 'gal', 3.785412],
    ['m³/h', 'gpm', 6.30902e-5 * 3600],
    ['kW', 'kBtu/h', 2.930711e-1],
  ])('one %s in %s', (unit, shown, one) => {
    const { unit: other, each } = shownUnitOfFact(unit, 'degF');
    expect(other).toBe(shown);
    expect(each * one).toBeCloseTo(1, 5);
  });
  test('people who read °C keep ours, and so does what has no customary unit', () => {
    expect(shownUnitOfFact('m³/h', 'degC')).toEqual({ unit: 'm³/h', each: 1 });
    expect(shownUnitOfFact('min', 'degF')).toEqual({ unit: 'min', each: 1 });
  });
});
