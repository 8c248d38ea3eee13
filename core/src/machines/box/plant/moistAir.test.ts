import { PRESSURE } from '../../../foundation/limits/index.ts';
import { describe, expect, test } from '@jest/globals';
import * as loaded from 'psychrolib';
import { airDensity, humidityRatio, saturatedRatio, saturationPressure } from './moistAir.ts';

describe('moist air at 85 % (oracle: PsychroLib 2.5.0, ASHRAE Fundamentals 2017 chapter 1)', () => {
  test.each([
    [-25, 0.33038, 1.42223],
    [-18, 0.65245, 1.38294],
    [-10, 1.35898, 1.34032],
    [0, 3.20507, 1.28981],
    [4, 4.27341, 1.27038],
    [10, 6.47363, 1.24182],
    [15, 9.02716, 1.21842],
  ])('%d °C: %d g/kg, %d kg/m³', (celsius, grams, density) => {
    const ratio = humidityRatio(celsius, 0.85);
    // Printed to five decimals.
    expect(ratio * 1000).toBeCloseTo(grams, 4);
    expect(airDensity(celsius, ratio)).toBeCloseTo(density, 4);
  });
});

test('saturation pressure at the triple point is 611.657 Pa within 0.05 % (published constant), on either side', () => {
  for (const t of [0.0099, 0.0101])
    expect(Math.abs(saturationPressure(t) / 611.657 - 1)).toBeLessThan(5e-4 + 7e-5);
});

test('the table of the step agrees with the equation within 0.02 %', () => {
  for (let t = -45.1; t < 60; t += 0.37)
    expect(Math.abs(saturatedRatio(t) / humidityRatio(t, 1) - 1)).toBeLessThan(2e-4);
});

test('relative humidity is the inverse of the ratio', () => {
  for (const t of [-20, 0, 20, 70])
    expect(relativeHumidityOf(t, humidityRatio(t, 0.37))).toBeCloseTo(0.37, 10);
});

describe('over a grid (oracle: PsychroLib 1.1.1, an implementation of its own of the same handbook)', () => {
  const oracle = ((loaded as { default?: typeof loaded }).default ?? loaded) as typeof loaded;
  oracle.SetUnitSystem(oracle.SI);

  test('saturation, humidity ratio and density agree to rounding from −40 to 60 °C', () => {
    for (let t = -40; t <= 60; t += 2.5) {
      expect(saturationPressure(t) / oracle.GetSatVapPres(t)).toBeCloseTo(1, 9);
      for (const relative of [0.2, 0.55, 0.9]) {
        const ratio = humidityRatio(t, relative);
        expect(ratio / oracle.GetHumRatioFromRelHum(t, relative, PRESSURE)).toBeCloseTo(1, 9);
        expect(airDensity(t, ratio) / oracle.GetMoistAirDensity(t, ratio, PRESSURE)).toBeCloseTo(1, 6);
      }
    }
  });
});

/** Back from a humidity ratio: p = ratio·P/(0.621945 + ratio) (ASHRAE Fundamentals, eq. 1.20 solved for p). */
function relativeHumidityOf(celsius: number, ratio: number): number {
  return (ratio * PRESSURE) / (0.621945 + ratio) / saturationPressure(celsius);
}
