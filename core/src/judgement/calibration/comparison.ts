import {
  resolutionOf,
  type ControllerDefinition,
  type DisplayState,
} from '../../controllers/definitions/index.ts';
import { quantity, unitSymbol, valueIn } from '../../foundation/quantities/index.ts';
import { expandedUncertainty } from './accuracy.ts';
import { calibrate, type Calibration, type ComparedPoint } from './fit.ts';
import {
  offsetKelvin,
  offsetUnit,
  proposeOffset,
  shownBeforeAndAfter,
  type OffsetParameter,
  type OffsetProposal,
  type ShownAt,
} from './offset.ts';

/** A probe of a control beside a reference. */
export interface Comparison {
  readonly definition: ControllerDefinition;
  readonly parameter: OffsetParameter['parameter'];
  readonly display: DisplayState;
  /** What display and reference read at the same time and place, °C; one at least. */
  readonly points: readonly ComparedPoint[];
  /** What the offset stands at now, as the display shows it. */
  readonly existing: number;
  /** Expanded uncertainty (k = 2) of the reference, K; 0 where its certificate says none. */
  readonly referenceK: number;
}

/** What follows from a comparison. */
export interface ComparisonResult {
  readonly proposal: OffsetProposal;
  readonly fitted: Calibration;
  /** Expanded uncertainty (k = 2) of the comparison, K. */
  readonly uncertaintyK: number;
  /** The display at a freezer's temperature, in ice water and in a warm room, °C. */
  readonly shown: readonly ShownAt[];
}

const SHOWN_AT = [-18, 0, 20] as const;

/** The symbol of the unit an offset is typed in: `dF` or `K`. */
export const offsetUnitText = (of: Pick<Comparison, 'definition' | 'parameter' | 'display'>): string =>
  unitSymbol(offsetUnit(of));

/**
 * A comparison judged: the offset in the control's own code from the mean difference of the points (the least squares answer of one offset),
 * the classes the fit holds, its uncertainty, and what the display will show. RangeError without points.
 */
export function judgeComparison({ points, existing, referenceK, ...of }: Comparison): ComparisonResult {
  const [first] = points;
  if (!first) throw new RangeError('A comparison needs one point at least');
  const missingK = points.reduce((sum, p) => sum + p.reference - p.reading, 0) / points.length;
  const proposal = proposeOffset({
    ...of,
    reads: quantity(first.reading, 'degC'),
    truth: quantity(first.reading + missingK, 'degC'),
    existing,
  });
  const fitted = calibrate(points);
  const standsK = offsetKelvin(existing, of);
  return {
    proposal,
    fitted,
    uncertaintyK: expandedUncertainty({
      reference: referenceK,
      resolution: valueIn(quantity(resolutionOf(of.parameter.encoding, of.display), offsetUnit(of)), 'K'),
      residuals: fitted.offsetOnly.residuals,
      fitted: 1,
    }),
    shown: shownBeforeAndAfter(
      SHOWN_AT,
      (trueC) => trueC - missingK - standsK,
      { slope: 1, offsetK: standsK },
      { slope: 1, offsetK: offsetKelvin(proposal.value, of) },
    ),
  };
}
