import { straightLine } from '../../foundation/statistics/index.ts';
import { difference, differenceIn, temperature, temperatureIn } from '../../foundation/quantities/index.ts';
import type { PlatinumClass } from '../../foundation/probes/index.ts';
import { platinumClassOf, recorderVerdicts, type RecorderClass } from './accuracy.ts';

/** What a control read and what the reference read at the same time, °C. */
export interface ComparedPoint {
  readonly reading: number;
  readonly reference: number;
}

/** A correction with what it leaves over. */
export interface Correction {
  /** Multiplies the reading; 1 where only an offset is used. */
  readonly slope: number;
  /** Added to slope × reading where both are in °C, K. */
  readonly offsetK: number;
  /** Added where the formula stands in °F, dF: with a slope this is not 1.8 × `offsetK`. */
  readonly offsetDeltaF: number;
  readonly residuals: readonly number[];
  readonly maxResidual: number;
  /** None too where a single point was compared: its own offset leaves nothing over, which proves nothing. */
  readonly platinum: PlatinumClass | 'none';
  /** Null for a single point. */
  readonly recorder: Readonly<Record<RecorderClass, boolean>> | null;
}

export interface Calibration {
  readonly offsetOnly: Correction;
  /** Null while the readings do not differ. */
  readonly slopeAndOffset: Correction | null;
  readonly advised: 'offsetOnly' | 'slopeAndOffset';
}

/** Readings that do not differ by more than this have no slope, K². Ours. */
const NO_SPREAD_K2 = 1e-12;
/** A slope is advised only where an offset leaves more than this, K, and the readings span at least so much, K. */
const OFFSET_LEAVES = 0.3;
const SPAN = 10;

/**
 * Offset, or slope and offset, from points compared with a reference. Offset: the mean difference. Slope and offset: least squares of
 * reference on reading. `existingK` already stands in the control: it is taken off the readings, so that the result replaces it. Needs one point.
 */
export function calibrate(points: readonly ComparedPoint[], existingK = 0): Calibration {
  const bare = points.map((p) => ({ ...p, reading: p.reading - existingK }));
  const offsetOnly = correction(bare, 1, mean(bare.map((p) => p.reference - p.reading)));
  const slopeAndOffset = leastSquares(bare);
  const readings = bare.map((p) => p.reading);
  const span = Math.max(...readings) - Math.min(...readings);
  return {
    offsetOnly,
    slopeAndOffset,
    advised:
      slopeAndOffset && offsetOnly.maxResidual > OFFSET_LEAVES && span >= SPAN
        ? 'slopeAndOffset'
        : 'offsetOnly',
  };
}

function leastSquares(points: readonly ComparedPoint[]): Correction | null {
  const { slope, intercept, spread } = straightLine(
    points.map((p) => p.reading),
    points.map((p) => p.reference),
  );
  return spread < NO_SPREAD_K2 ? null : correction(points, slope, intercept);
}

function correction(points: readonly ComparedPoint[], slope: number, offsetK: number): Correction {
  const residuals = points.map((p) => p.reference - (slope * p.reading + offsetK));
  const at = points.map((p, i) => ({ celsius: p.reference, kelvin: residuals[i]! }));
  return {
    slope,
    offsetK,
    // y·9/5 + 32 for a reading x·9/5 + 32: the zero of the scale moves with the slope.
    offsetDeltaF:
      differenceIn(difference(offsetK, 'K'), 'deltaF') +
      temperatureIn(temperature(0, 'degC'), 'degF') * (1 - slope),
    residuals,
    maxResidual: Math.max(...residuals.map(Math.abs)),
    platinum: points.length > 1 ? platinumClassOf(at) : 'none',
    recorder: points.length > 1 ? recorderVerdicts(at) : null,
  };
}

const mean = (numbers: readonly number[]) => numbers.reduce((sum, n) => sum + n, 0) / numbers.length;
