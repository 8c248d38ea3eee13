import { ZERO_CELSIUS_K, PRESSURE } from '../limits/index.ts';
import type { Fluid, Line } from './fluids.ts';
import { mixturePressure } from './pengRobinson.ts';

/** Standard atmosphere, kPa. */
export const SEA_LEVEL_KPA = PRESSURE / 1000;
/** One pound-force on a square inch, kPa (exact from the international pound and inch, rounded). */
export const KPA_PER_PSI = 6.894757293168;

export type Side = 'bubble' | 'dew';

/** A question the equation cannot answer, with the sentence that says why. */
export interface OutOfRange {
  readonly outOfRange: string;
}

export const isOutOfRange = (result: number | OutOfRange): result is OutOfRange => typeof result !== 'number';

/**
 * Saturation pressure, kPa absolute, at a temperature in °C, of bubble (first vapour) or dew (last liquid). Holds from the fluid's lowest
 * temperature to its critical point; outside it says so. R-134a at 25 °C: 665.34 kPa. Source: the fluid's.
 */
export function pressureAt(fluid: Fluid, celsius: number, side: Side): number | OutOfRange {
  const line = fluid[side];
  const kelvin = celsius + ZERO_CELSIUS_K;
  // A microkelvin of grace: the lowest temperature itself, converted from °C, is in range.
  if (!(kelvin >= fluid.lowestK - 1e-6))
    return {
      outOfRange: `${fluid.id}: ${celsius.toFixed(1)} °C lies below ${(fluid.lowestK - ZERO_CELSIUS_K).toFixed(1)} °C, where its equation begins`,
    };
  if (kelvin > line.criticalK && fluid.mixture)
    return {
      outOfRange: `${fluid.id}: ${celsius.toFixed(1)} °C lies above ${(line.criticalK - ZERO_CELSIUS_K).toFixed(0)} °C, where its estimate ends`,
    };
  if (kelvin > line.criticalK)
    return {
      outOfRange: `${fluid.id}: ${celsius.toFixed(1)} °C lies above its critical point, ${(line.criticalK - ZERO_CELSIUS_K).toFixed(2)} °C: there is no boiling any more`,
    };
  return pressureOf(fluid, side, kelvin);
}

/** Pressure on the line of a side, or of the mixture where it is estimated. */
const pressureOf = (fluid: Fluid, side: Side, kelvin: number): number =>
  fluid.mixture ? mixturePressure(fluid.mixture, kelvin, side) : onLine(fluid[side], kelvin);

/**
 * Saturation temperature, °C, at a pressure in kPa absolute: the inverse of {@link pressureAt}, to 1e-9 K by bisection and secant steps.
 */
export function temperatureAt(fluid: Fluid, kPa: number, side: Side): number | OutOfRange {
  const line = fluid[side];
  const lowest = pressureOf(fluid, side, fluid.lowestK);
  if (!(kPa >= lowest))
    return {
      outOfRange: `${fluid.id}: ${kPa.toFixed(1)} kPa absolute lies below ${lowest.toFixed(1)} kPa, where its equation begins`,
    };
  if (kPa > line.criticalKPa)
    return {
      outOfRange: `${fluid.id}: ${kPa.toFixed(0)} kPa absolute lies above ${fluid.mixture ? 'where its estimate ends' : 'its critical pressure'}, ${line.criticalKPa.toFixed(0)} kPa`,
    };
  let [low, high] = [fluid.lowestK, line.criticalK];
  // ln p against 1/T is nearly straight, so that halving in it converges within some forty steps from any range.
  for (let i = 0; i < 80 && high - low > 1e-10; i += 1) {
    const middle = 2 / (1 / low + 1 / high);
    if (pressureOf(fluid, side, middle) < kPa) low = middle;
    else high = middle;
  }
  return (low + high) / 2 - ZERO_CELSIUS_K;
}

function onLine(line: Line, kelvin: number): number {
  const theta = Math.max(0, 1 - kelvin / line.criticalK);
  const sum = line.n.reduce((total, n, i) => total + n * theta ** line.t[i]!, 0);
  return line.criticalKPa * Math.exp((line.criticalK / kelvin) * sum);
}

/**
 * Pressure of the air at an elevation, kPa: the ICAO standard atmosphere below 11 km, p = 101.325·(1 − 2.25577e−5·h)^5.25588, h in metres.
 * 1500 m: 84.56 kPa. The weather adds or takes up to 4 kPa.
 */
export function airPressureAt(metres: number): number {
  return SEA_LEVEL_KPA * (1 - 2.25577e-5 * metres) ** 5.25588;
}

/** Gauge from absolute pressure and back, kPa, at an elevation in metres (sea level where none is given). */
export const gaugeOf = (absoluteKPa: number, metres = 0) => absoluteKPa - airPressureAt(metres);
export const absoluteOf = (gaugeKPa: number, metres = 0) => gaugeKPa + airPressureAt(metres);

/** Superheat or subcooling with the saturation temperature it was taken from. */
export interface Departure {
  readonly saturationC: number;
  readonly kelvin: number;
}

/**
 * Superheat of the suction gas, K: line temperature less dew temperature at the gauge pressure. R-404A, 45 psi, line 28 °F: 16.4 dF.
 */
export function superheat(fluid: Fluid, gaugeKPa: number, lineC: number, metres = 0): Departure | OutOfRange {
  const dew = temperatureAt(fluid, absoluteOf(gaugeKPa, metres), 'dew');
  return isOutOfRange(dew) ? dew : { saturationC: dew, kelvin: lineC - dew };
}

/** Subcooling of the liquid, K: bubble temperature at the gauge pressure less line temperature. R-404A, 220 psi, line 85 °F: 9.9 dF. */
export function subcooling(
  fluid: Fluid,
  gaugeKPa: number,
  lineC: number,
  metres = 0,
): Departure | OutOfRange {
  const bubble = temperatureAt(fluid, absoluteOf(gaugeKPa, metres), 'bubble');
  return isOutOfRange(bubble) ? bubble : { saturationC: bubble, kelvin: bubble - lineC };
}
