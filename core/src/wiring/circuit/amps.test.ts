import { expect, test } from '@jest/globals';
import { ampsOf } from './amps.ts';

// Oracle: P = U·I and P = √3·U·I, worked by hand.
test.each([
  [1800, 240, 1, 7.5, 32],
  [500, 115, 1, 4.3478, 26.45],
  [3000, 208, 3, 8.3272, 28.8427],
  [1480, 480, 3, 1.7802, 311.3514],
] as const)('%d W at %d V, %d phases', (watts, volts, phases, amps, ohms) => {
  expect(ampsOf(watts, volts, phases).amps).toBeCloseTo(amps, 4);
  expect(ampsOf(watts, volts, phases).ohms).toBeCloseTo(ohms, 3);
});

// Oracle: conservation. Amps squared through the ohms of the legs give the watts back, star or delta.
test.each([1, 3] as const)('%d phases give the watts back', (phases) => {
  const { amps, ohms } = ampsOf(2700, 230, phases);
  const watts = phases === 1 ? amps ** 2 * ohms : 3 * amps ** 2 * (ohms / 2);
  expect(watts).toBeCloseTo(2700, 6);
});
