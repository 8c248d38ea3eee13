import { expect, test } from '@jest/globals';
import { plateAgainst, readPlate } from './plate.ts';

test.each([
  ['R-404A, 230 V', { supply: '230 V', refrigerant: 'R-404A' }],
  ['208-240V 3~ R449A', { supply: '208-240V 3~', refrigerant: 'R-449A' }],
  ['M 41, R134a 12 V battery', { supply: '12 V battery', refrigerant: 'R-134a' }],
  ['R-290 115 V', { supply: '115 V', refrigerant: 'R-290' }],
  ['serial R-12345678', {}],
  ['cold store', {}],
])('“%s”', (plate, says) => expect(readPlate(plate)).toEqual(says));

test('a plate speaks against another answer, not against the same in other words', () => {
  const plate = 'R-404A, 208 V three-phase';
  expect(plateAgainst(plate, 'refrigerant', 'R404a')).toBeNull();
  expect(plateAgainst(plate, 'refrigerant', 'R-449A')).toBe('R-404A');
  expect(plateAgainst(plate, 'supply', '208 V, 3 phases')).toBeNull();
  expect(plateAgainst(plate, 'supply', '120 V')).toBe('208 V three-phase');
  expect(plateAgainst('', 'supply', '120 V')).toBeNull();
});
