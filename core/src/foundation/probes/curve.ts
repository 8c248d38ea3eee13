import { ZERO_CELSIUS_K } from '../limits/index.ts';
import { platinumCelsius, platinumOhms } from './platinum.ts';
import { tableCelsius, tableOhms, type TablePoint } from './table.ts';

/** How a sensor's resistance follows its temperature: the equation and its parameters, plain data. */
export type Curve =
  | { readonly kind: 'platinum'; readonly ohmsAt0: number }
  | { readonly kind: 'ntcBeta'; readonly ohmsAt25: number; readonly beta: number }
  | { readonly kind: 'steinhartHart'; readonly a: number; readonly b: number; readonly c: number }
  | { readonly kind: 'siliconPtc'; readonly ohmsAt25: number }
  | { readonly kind: 'table'; readonly points: readonly TablePoint[] };

const T25 = 298.15;
/** Silicon PTC: R = R25·(1 + α·Δ + β·Δ²), Δ = t − 25; from memory of the data sheets, valid to 100 °C. */
const PTC_ALPHA = 7.874e-3;
const PTC_BETA = 1.874e-5;

/**
 * Resistance of a sensor, Ω, at a temperature in °C. Platinum: IEC 60751. NTC: R25·exp(B(1/T − 1/T25)), or Steinhart and Hart (Deep-Sea
 * Res. 15 (1968) 497) solved for R. Silicon PTC: a quadratic. Outside what a table spans its ends are carried on. 10 kΩ, B 3435, at 0 °C: 28704 Ω.
 */
export function ohmsAt(curve: Curve, celsius: number): number {
  switch (curve.kind) {
    case 'platinum':
      return platinumOhms(curve.ohmsAt0, celsius);
    case 'ntcBeta':
      return curve.ohmsAt25 * Math.exp(curve.beta * (1 / (celsius + ZERO_CELSIUS_K) - 1 / T25));
    case 'steinhartHart':
      return steinhartOhms(curve, celsius);
    case 'siliconPtc': {
      const delta = celsius - 25;
      return curve.ohmsAt25 * (1 + PTC_ALPHA * delta + PTC_BETA * delta ** 2);
    }
    case 'table':
      return tableOhms(curve.points, celsius);
  }
}

/**
 * Temperature, °C, at which a sensor has that resistance: the inverse of {@link ohmsAt}. Null where the equation has no answer (a resistance
 * no temperature gives).
 */
export function celsiusAt(curve: Curve, ohms: number): number | null {
  if (!(ohms > 0)) return null;
  switch (curve.kind) {
    case 'platinum':
      return platinumCelsius(curve.ohmsAt0, ohms);
    case 'ntcBeta': {
      const inverse = 1 / T25 + Math.log(ohms / curve.ohmsAt25) / curve.beta;
      return inverse > 0 ? 1 / inverse - ZERO_CELSIUS_K : null;
    }
    case 'steinhartHart': {
      const ln = Math.log(ohms);
      const inverse = curve.a + curve.b * ln + curve.c * ln ** 3;
      return inverse > 0 ? 1 / inverse - ZERO_CELSIUS_K : null;
    }
    case 'siliconPtc': {
      // The rising branch of the parabola; under its vertex there is no temperature.
      const root = PTC_ALPHA ** 2 - 4 * PTC_BETA * (1 - ohms / curve.ohmsAt25);
      return root < 0 ? null : 25 + (Math.sqrt(root) - PTC_ALPHA) / (2 * PTC_BETA);
    }
    case 'table':
      return tableCelsius(curve.points, ohms);
  }
}

/** Steinhart and Hart solved for R: a depressed cubic in ln R with one real root (Cardano), since b and c are above 0. */
function steinhartOhms(
  { a, b, c }: { readonly a: number; readonly b: number; readonly c: number },
  celsius: number,
): number {
  const inverse = 1 / (celsius + ZERO_CELSIUS_K);
  if (c === 0) return Math.exp((inverse - a) / b);
  const half = (inverse - a) / (2 * c);
  const root = Math.sqrt((b / (3 * c)) ** 3 + half ** 2);
  return Math.exp(Math.cbrt(root + half) - Math.cbrt(root - half));
}
