import { GAS_CONSTANT, PRESSURE, ZERO_CELSIUS_K } from '../../../foundation/limits/index.ts';

/**
 * Saturation pressure of water vapour, Pa, over ice below 0.01 °C and over water above; −100 to 200 °C. Hyland and Wexler 1983, as printed in the
 * ASHRAE Handbook, Fundamentals 2017, chapter 1, equations 5 and 6.
 */
export function saturationPressure(celsius: number): number {
  const t = celsius + ZERO_CELSIUS_K;
  const ln =
    celsius <= 0.01
      ? -5.6745359e3 / t +
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t ** 2 +
        2.0747825e-9 * t ** 3 -
        9.484024e-13 * t ** 4 +
        4.1635019 * Math.log(t)
      : -5.8002206e3 / t +
        1.3914993 -
        4.8640239e-2 * t +
        4.1764768e-5 * t ** 2 -
        1.4452093e-8 * t ** 3 +
        6.5459673 * Math.log(t);
  return Math.exp(ln);
}

/** Humidity ratio, kg vapour a kg dry air, at a relative humidity of 0 to 1. */
export function humidityRatio(celsius: number, relative: number): number {
  const p = relative * saturationPressure(celsius);
  return (0.621945 * p) / (PRESSURE - p);
}

/** Density of moist air, kg (dry air and vapour) a m³. */
export function airDensity(celsius: number, ratio: number): number {
  const volume = (GAS_CONSTANT * (celsius + ZERO_CELSIUS_K) * (1 + 1.607858 * ratio)) / PRESSURE;
  return (1 + ratio) / volume;
}

const FROM = -60;
const STEP = 0.25;
const table = new Float64Array(Math.round((90 - FROM) / STEP) + 2).map((_, i) =>
  humidityRatio(FROM + i * STEP, 1),
);

/** Humidity ratio of saturated air, read from a table of quarter degrees (within 0.02 %): the step asks for it four times a second. */
export function saturatedRatio(celsius: number): number {
  const at = Math.min(Math.max((celsius - FROM) / STEP, 0), table.length - 2);
  const i = at | 0;
  return table[i]! + (table[i + 1]! - table[i]!) * (at - i);
}
