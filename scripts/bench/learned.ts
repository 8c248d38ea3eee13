import { unitScenario } from '@brine/core/judgement/tuning';
import { courseOf } from '@brine/core/logs/course';
import { identify, parameters } from '@brine/core/machines/identification';
import type { Scenario } from '@brine/core/machines/simulation';
import { otherBoxes } from '../../core/testing/otherBoxes/boxes.ts';
import { logOf } from '../../core/testing/otherBoxes/tryBox.ts';
import { drawTruth, ownLog } from '../../core/testing/ownLog.ts';

const SEEDS = 100;
/** Two-sided 90 % of a normal spread, standard errors. */
const NINETY = 1.645;

/** Logs of the model's own box at values drawn from the priors: how many of the values lie inside of their 90 % intervals. False outside of 85 to 95 %. */
export function benchLearned(): boolean {
  const box = otherBoxes.find((one) => one.name === 'walk-in freezer')!;
  const scenario = unitScenario(box.unit, box.settings, { hours: 24, warmUpHours: 24 }) as Scenario;
  const n = parameters.length;
  const hits = parameters.map(() => 0);
  let learnt = 0;
  for (let seed = 1; seed <= SEEDS; seed += 1) {
    const truth = drawTruth(seed);
    const rows = ownLog(scenario, truth, { days: 3, every: 60, seed });
    const { course } = courseOf(logOf(rows, ['air', 'coil', 'compressor', 'defrost', 'fan']), box.settings);
    if (!course) continue;
    const { at, covariance } = identify({ course, scenario })!;
    learnt += 1;
    for (const i of parameters.keys())
      if (Math.abs(at[i]! - truth[i]!) < NINETY * Math.sqrt(covariance[i * n + i]!)) hits[i]! += 1;
    process.stdout.write(
      `${seed} of ${SEEDS}: ${((100 * hits.reduce((a, b) => a + b, 0)) / learnt / n).toFixed(1)} % inside\n`,
    );
  }
  for (const [i, { id }] of parameters.entries())
    process.stdout.write(`${id.padEnd(16)} ${((100 * hits[i]!) / learnt).toFixed(0)} %\n`);
  const inside = hits.reduce((a, b) => a + b, 0) / learnt / n;
  return inside >= 0.85 && inside <= 0.95;
}
