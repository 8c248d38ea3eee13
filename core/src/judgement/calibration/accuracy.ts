import { SAME_NUMBER } from '../../foundation/limits/index.ts';
import { platinumClasses, platinumTolerance, type PlatinumClass } from '../../foundation/probes/index.ts';

/** An error left over at a temperature. */
export interface Residual {
  readonly celsius: number;
  readonly kelvin: number;
}

/** Classes of EN 12830:2018 for recorders: the largest error, K (from memory; class 0.5 is of the 2018 edition). */
export const recorderClasses = { '0.5': 0.5, '1': 1, '2': 2 } as const;
export type RecorderClass = keyof typeof recorderClasses;

/** The best class of IEC 60751 that holds every residual, or none. 0.2 K at 0 °C: B. */
export function platinumClassOf(residuals: readonly Residual[]): PlatinumClass | 'none' {
  const holds = (accuracy: PlatinumClass) =>
    residuals.every((r) => Math.abs(r.kelvin) <= platinumTolerance(accuracy, r.celsius) + SAME_NUMBER);
  return platinumClasses.find(holds) ?? 'none';
}

/** The verdict for each class of EN 12830. */
export function recorderVerdicts(residuals: readonly Residual[]): Readonly<Record<RecorderClass, boolean>> {
  const worst = Math.max(0, ...residuals.map((r) => Math.abs(r.kelvin)));
  return Object.fromEntries(
    Object.entries(recorderClasses).map(([name, limit]) => [name, worst <= limit + SAME_NUMBER]),
  ) as Record<RecorderClass, boolean>;
}

/** What goes into the uncertainty of a comparison, K. */
export interface UncertaintyParts {
  /** Expanded uncertainty of the reference (k = 2), as its certificate says. */
  readonly reference: number;
  /** Steps of the display compared with it. */
  readonly resolution: number;
  /** Residuals of the fit; their spread counts as repeatability. */
  readonly residuals: readonly number[];
  /** Parameters fitted: 1 for an offset, 2 with a slope. */
  readonly fitted: 1 | 2;
}

/**
 * Expanded uncertainty (k = 2) of a comparison, K: reference / 2, resolution / √12, and the standard deviation of the residuals, in quadrature
 * (JCGM 100, GUM, clauses 4.2, 4.3 and 5.1). One point alone tells nothing about repeatability, which is then left out.
 */
export function expandedUncertainty({ reference, resolution, residuals, fitted }: UncertaintyParts): number {
  const freedom = residuals.length - fitted;
  const scatter = freedom > 0 ? Math.sqrt(residuals.reduce((sum, r) => sum + r ** 2, 0) / freedom) : 0;
  return 2 * Math.hypot(reference / 2, resolution / Math.sqrt(12), scatter);
}
