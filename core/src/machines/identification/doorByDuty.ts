import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { Scenario } from '../simulation/index.ts';
import { figuresOf } from './figuresOf.ts';
import { loggerAt, ownPlantAt } from './ownPlantAt.ts';
import { parameterIds } from './parameters.ts';
import type { Prior } from './priors.ts';

const DOOR = parameterIds.indexOf('doorUse');
/** Points of the door's use that are tried, in spreads of its prior. */
const TRIED = [-2.5, -1.5, -0.5, 0.5, 1.5, 2.5];
/** Days by chance that each is tried on. */
const DAYS = [1, 2, 3];
/** One standard error of the rise of the duty: days differ, and afternoons are warm besides, points. */
const RISE_ERROR = 2.5;

/**
 * How much a door is used, from the rise of the duty in business hours. A run along the log cannot tell it: a stretch with an open door is no ordinary one. So the box is run under its control with more and less
 * use, and the use taken that raises the duty as it was measured; with its error, in what is fitted.
 */
export function doorByDuty(
  scenario: Scenario,
  at: Float64Array,
  { usual, spread }: Prior,
  { dutyRise, every }: { readonly dutyRise: number; readonly every: number },
): { readonly use: number; readonly error: number } {
  const tried = TRIED.map((by) => {
    const use = usual + by * spread;
    const point = Float64Array.from(at);
    point[DOOR] = use;
    const rises = DAYS.map((seed) => {
      const own = ownPlantAt(scenario, point, { seed, weather: [] });
      return figuresOf(
        { ...scenario, own, seconds: SECONDS_PER_DAY, warmUp: SECONDS_PER_DAY / 2 },
        loggerAt(point, every),
      ).dutyRise;
    });
    const rise = rises.reduce((sum, r) => sum + r, 0) / rises.length;
    return { use, rise };
  });
  // Posterior on a fine grid: prior times how near the rise comes, straight lines between what was tried.
  let [weights, first, second] = [0, 0, 0];
  for (let i = 0; i < tried.length - 1; i += 1)
    for (let k = 0; k < 20; k += 1) {
      const share = (k + 0.5) / 20;
      const use = tried[i]!.use + share * (tried[i + 1]!.use - tried[i]!.use);
      const rise = tried[i]!.rise + share * (tried[i + 1]!.rise - tried[i]!.rise);
      const weight = Math.exp(-0.5 * (((rise - dutyRise) / RISE_ERROR) ** 2 + ((use - usual) / spread) ** 2));
      weights += weight;
      first += weight * use;
      second += weight * use * use;
    }
  // Nothing that was tried comes near: as little, or as much, as was tried.
  if (!(weights > 1e-12)) {
    const nearest = tried.reduce((a, b) =>
      Math.abs(a.rise - dutyRise) < Math.abs(b.rise - dutyRise) ? a : b,
    );
    return { use: nearest.use, error: spread / 2 };
  }
  const use = first / weights;
  return { use, error: Math.max(0.1, Math.sqrt(Math.max(0, second / weights - use * use))) };
}
