import { randomEffects } from '../../foundation/statistics/index.ts';
import {
  parameters,
  parametersWith,
  saidByLog,
  type BoxFile,
  type ParameterId,
  type Prior,
  type Priors,
} from '../../machines/identification/index.ts';
import { covarianceOf } from './boxPoint.ts';

/** So many units of a kind must have been learned before they speak for the next one. */
export const UNITS_FOR_A_KIND = 5;

/** Two boxes of a kind differ by this share of what is usual at least, however alike a few were. Ours. */
const LEAST_SPREAD = 0.3;
/** Nor by more than this: a few odd ones do not make every value likely. Ours. */
const MOST_SPREAD = 1.5;

/** What belongs to the logger that was in the box, not to the box. */
const OF_THE_LOGGER: ReadonlySet<ParameterId> = new Set(['loggerLag', 'loggerOffset']);

/**
 * What the learned boxes of a kind have in common, as priors for the next one: for each parameter that at least five logs tell, the mean over units and how much they differ, each unit weighed by its own error and
 * without what was thought of it before (a random effects model); the spread is that of a further unit, what is not known of the mean in it. Parameters that fewer logs tell stay as usual. Boxes without their point
 * in what is fitted are left out.
 *
 * @param boxes one of each unit, all of one kind
 */
export function kindPriors(boxes: readonly BoxFile[]): Priors {
  const placed = boxes.flatMap((box) =>
    box.point
      ? [{ point: box.point, covariance: covarianceOf(box), thought: parametersWith(box.priors) }]
      : [],
  );
  const n = parameters.length;
  return Object.fromEntries(
    parameters.flatMap(
      ({ id, usual, spread, lower, upper }, i): readonly (readonly [ParameterId, Prior])[] => {
        if (OF_THE_LOGGER.has(id)) return [];
        const said = placed.flatMap(({ point, covariance, thought }) => {
          const one = saidByLog(point[i]!, Math.sqrt(covariance[i * n + i]!), thought[i]!);
          return one ? [one] : [];
        });
        if (said.length < UNITS_FOR_A_KIND) return [];
        const { mean, error, between } = randomEffects(
          said.map(({ value }) => value),
          said.map(({ variance }) => variance),
        );
        // The mean itself is held near the usual where the logs leave it open.
        const share = spread ** 2 / (spread ** 2 + error ** 2);
        const middle = Math.min(upper, Math.max(lower, usual + share * (mean - usual)));
        const differs = Math.sqrt(between + share * error ** 2);
        return [
          [
            id,
            {
              usual: round(middle),
              spread: round(Math.min(MOST_SPREAD * spread, Math.max(LEAST_SPREAD * spread, differs))),
            },
          ],
        ];
      },
    ),
  );
}

const round = (value: number): number => Number(value.toPrecision(4));
