import { blend, type BlendId } from './blends.ts';
import { mixturePressure, type Mixture } from './pengRobinson.ts';

/** One vapour-pressure equation: ln(p/pc) = (Tc/T)·Σ Nᵢ(1 − T/Tc)^tᵢ, p in kPa absolute, T in K. */
export interface Line {
  readonly criticalK: number;
  readonly criticalKPa: number;
  readonly n: readonly number[];
  readonly t: readonly number[];
}

/** A refrigerant with its saturation lines. One substance has one line; a blend boils between bubble and dew. */
export interface Fluid {
  readonly id: string;
  readonly bubble: Line;
  readonly dew: Line;
  /** Worked out as a mixture where no equation of its own could be checked: an estimate, no charging chart. */
  readonly mixture?: Mixture;
  /** From here up to the critical point the equation holds, K. */
  readonly lowestK: number;
  readonly source: string;
  /** Largest error to reckon with, %, and how far that is known. */
  readonly errorPercent: number;
  readonly checked: string;
  /** A2L and A3 burn (ISO 817 classes, from memory). */
  readonly safety: 'A1' | 'A2L' | 'A3';
}

const line = (criticalK: number, criticalKPa: number, n: readonly number[], t: readonly number[]): Line => ({
  criticalK,
  criticalKPa,
  n,
  t,
});
const single = (line_: Line) => ({ bubble: line_, dew: line_ });

/**
 * The refrigerants whose published equation could be checked. Coefficients are from memory of the papers named; every one was checked
 * against boiling points and table points or against the full equation of state (see `checked`).
 */
export const fluids: readonly Fluid[] = [
  {
    id: 'R-134a',
    ...single(line(374.18, 4056.29, [-7.686556, 2.311791, -2.039554, -3.583758], [1, 1.5, 2, 4])),
    lowestK: 169.85,
    source: 'Tillner-Roth and Baehr, J. Phys. Chem. Ref. Data 23 (1994) 657',
    errorPercent: 0.1,
    checked: 'boiling point, a table point, and the full equation of state from −40 to 40 °C',
    safety: 'A1',
  },
  {
    id: 'R-744',
    ...single(line(304.1282, 7377.3, [-7.0602087, 1.9391218, -1.6463597, -3.2995634], [1, 1.5, 2, 4])),
    lowestK: 216.592,
    source: 'Span and Wagner, J. Phys. Chem. Ref. Data 25 (1996) 1509, eq. 3.13',
    errorPercent: 0.1,
    checked: 'triple point and handbook values at −20, 0 and 20 °C',
    safety: 'A1',
  },
  {
    id: 'R-290',
    ...single(line(369.89, 4251.2, [-6.7722, 1.6938, -1.3341, -3.1876, 0.94937], [1, 1.5, 2.2, 4.8, 6.2])),
    lowestK: 85.525,
    source: 'Lemmon, McLinden and Wagner, J. Chem. Eng. Data 54 (2009) 3141',
    errorPercent: 0.1,
    checked: 'boiling point, a table point, and the full equation of state from −40 to 40 °C',
    safety: 'A3',
  },
  {
    id: 'R-600a',
    ...single(line(407.81, 3629.0, [-6.85093103, 1.36543198, -1.32542691, -2.56190994], [1, 1.5, 2.5, 4.5])),
    lowestK: 113.73,
    source: 'Bücker and Wagner, J. Phys. Chem. Ref. Data 35 (2006) 929',
    errorPercent: 0.5,
    checked: 'boiling point and one handbook point',
    safety: 'A3',
  },
  {
    id: 'R-404A',
    bubble: line(345.27, 3734.8, [0.061067, -6.5646, -3.6162, -3.9771], [0.54, 0.965, 3.7, 9.0]),
    dew: line(345.27, 3734.8, [-0.00026863, -6.5757, -4.1802, -7.9102], [0.1, 0.972, 3.8, 9.0]),
    lowestK: 200,
    source: 'Lemmon, Int. J. Thermophys. 24 (2003) 991',
    errorPercent: 1.5,
    checked:
      'boiling points; between bubble and dew of the pseudo-pure equation; service charts lie up to 1.4 % lower',
    safety: 'A1',
  },
  {
    id: 'R-410A',
    bubble: line(344.494, 4901.2, [-7.2818, 2.5093, -3.2695, -2.8022], [1, 1.8, 2.4, 4.9]),
    dew: line(344.494, 4901.2, [-7.4411, 1.9883, -2.4925, -3.2633], [1, 1.6, 2.4, 5.0]),
    lowestK: 200,
    source: 'Lemmon, Int. J. Thermophys. 24 (2003) 991',
    errorPercent: 0.5,
    checked: 'boiling points; the pseudo-pure equation lies between bubble and dew at five temperatures',
    safety: 'A1',
  },
  {
    id: 'R-22',
    ...single(line(369.295, 4990.0, [-7.078, 1.7211, -1.6379, -3.7952, 0.86937], [1, 1.5, 2.2, 4.8, 6.2])),
    lowestK: 115.73,
    source: 'fitted to the equation of Kamei and others (1995)',
    errorPercent: 0.5,
    checked: 'boiling point and one handbook point',
    safety: 'A1',
  },
  {
    id: 'R-32',
    ...single(line(351.255, 5782.0, [-7.4883, 1.9697, -1.7496, -4.0224, 1.5209], [1, 1.5, 2.2, 4.8, 6.2])),
    lowestK: 136.34,
    source: 'fitted to the equation of Tillner-Roth and Yokozeki (1997)',
    errorPercent: 0.5,
    checked: 'boiling point and one handbook point',
    safety: 'A2L',
  },
  {
    id: 'R-1234yf',
    ...single(line(367.85, 3382.2, [-7.4697, 2.7915, -2.1312, -2.9531], [1, 1.5, 1.8, 3.8])),
    lowestK: 220,
    source: 'Richter, McLinden and Lemmon (2011)',
    errorPercent: 0.5,
    checked: 'boiling point and one handbook point',
    safety: 'A2L',
  },
];

/** Largest difference found between such an estimate and a checked equation or boiling point, −47 to 55 °C, %: R-507A at its boiling point, 4.1. */
const ESTIMATE_ERROR = 4.5;
/** An estimate ends here, K: nearer to the critical point a cubic equation is no guide. */
const ESTIMATE_ENDS_K = 333.15;

/** A blend without a checked equation, from its parts. Its lines end where the estimate does. */
function estimated(id: BlendId, safety: Fluid['safety']): Fluid {
  const mixture = blend(id);
  const end = (side: 'bubble' | 'dew') =>
    line(ESTIMATE_ENDS_K, mixturePressure(mixture, ESTIMATE_ENDS_K, side), [], []);
  return {
    id,
    bubble: end('bubble'),
    dew: end('dew'),
    mixture,
    lowestK: 223.15,
    source: 'Peng and Robinson (1976), van der Waals mixing of its parts by ANSI/ASHRAE 34; an estimate',
    errorPercent: ESTIMATE_ERROR,
    checked: 'the same estimate of R-134a, R-32, R-1234yf, R-404A and R-410A against their equations',
    safety,
  };
}

/** Blends of the dictionary without a checked equation: estimated, with the error found. Classes: ISO 817, from memory. */
export const estimates: readonly Fluid[] = [
  estimated('R-407C', 'A1'),
  estimated('R-448A', 'A1'),
  estimated('R-449A', 'A1'),
  estimated('R-454C', 'A2L'),
  estimated('R-507A', 'A1'),
  estimated('R-513A', 'A1'),
];

/** The refrigerant named, however it is written: `R-134a`, `r134a`, `134A`. */
export function fluidNamed(name: string): Fluid | undefined {
  const key = plain(name);
  return [...fluids, ...estimates].find((fluid) => plain(fluid.id) === key);
}

const plain = (name: string) =>
  name
    .toUpperCase()
    .replace(/[^0-9A-Z]/g, '')
    .replace(/^R/, '');
