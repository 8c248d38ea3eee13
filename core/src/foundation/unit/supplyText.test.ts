import { expect, test } from '@jest/globals';
import { readSupplyText } from './supplyText.ts';

test.each([
  ['208 V, 3 phases', { volts: 208, phases: 3 }],
  ['208 V three-phase', { volts: 208, phases: 3 }],
  ['230V~', { volts: 230 }],
  ['230 V, 50 Hz', { volts: 230 }],
  ['12 V, battery', { volts: 12, kind: 'dc' }],
  ['12 V', { volts: 12, kind: 'dc' }],
  ['12 V AC', { volts: 12 }],
  ['24 VDC', { volts: 24, kind: 'dc' }],
  ['24 V', { volts: 24 }],
  ['208–240 V, 1 ph', { volts: 208 }],
  ['400 V 3~', { volts: 400, phases: 3 }],
])('“%s”', (text, supply) => expect(readSupplyText(text)).toEqual(supply));

test.each(['', 'as before', '10 A', '3 phases', '9999 V'])('“%s” states no volts', (text) =>
  expect(readSupplyText(text)).toBeNull(),
);

test('in a vehicle 24 V is its battery unless somebody says AC', () => {
  expect(readSupplyText('24 V', true)).toEqual({ volts: 24, kind: 'dc' });
  expect(readSupplyText('24 V AC', true)).toEqual({ volts: 24 });
  expect(readSupplyText('230 V', true)).toEqual({ volts: 230 });
});
