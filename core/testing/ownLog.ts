import { plan, valuesOf } from '../src/judgement/plan/index.ts';
import { unitScenario } from '../src/judgement/tuning/index.ts';
import type { TemplateId } from '../src/machines/box/index.ts';
import { chance, normal } from '../src/foundation/statistics/index.ts';
import { UnitRun, type Scenario } from '../src/machines/simulation/index.ts';
import { ownPlantAt, parameters, valueAt } from '../src/machines/identification/index.ts';
import { USUAL_LOGGER_LAG } from '../src/machines/identification/parameters.ts';
import { plainUnit } from './units.ts';
import type { LoggedRow } from './otherBoxes/logCsv.ts';

/** True values of a box, drawn from the priors within their bounds. */
export function drawTruth(seed: number): Float64Array {
  const random = chance(seed);
  return Float64Array.from(parameters, ({ usual, spread, lower, upper }) =>
    Math.min(upper, Math.max(lower, usual + spread * normal(random))),
  );
}

const NOISE_K = 0.05;

/** A log of the model's own box at a point: doors and weather by the seed, a row every `every` seconds, rounded to a tenth. */
export function ownLog(
  scenario: Scenario,
  truth: Float64Array,
  { days, every, seed }: { readonly days: number; readonly every: number; readonly seed: number },
): readonly LoggedRow[] {
  const random = chance(seed + 31);
  const weather = Array.from({ length: days + 3 }, () => 1.2 * normal(random));
  const own = ownPlantAt(scenario, truth, { seed, weather });
  const run = new UnitRun({ ...scenario, own, seconds: days * 86_400 });
  const { control, box, drive } = run.standing;
  const lag = USUAL_LOGGER_LAG * valueAt(truth, 'loggerLag');
  const rows: LoggedRow[] = [];
  let read = box.air;
  for (let t = -scenario.warmUp; t < days * 86_400; t += 1) {
    run.second(t);
    run.advance();
    read += (box.air - read) * (1 - Math.exp(-1 / lag));
    if (t < 0 || t % every !== 0) continue;
    const tenth = (x: number) => Math.round((x + NOISE_K * normal(random)) * 10) / 10;
    rows.push({
      t,
      air: tenth(read + valueAt(truth, 'loggerOffset')),
      coil: tenth(box.coilProbe),
      compressor: drive.compressor ? 1 : 0,
      defrost: control.phase === 'defrost' ? 1 : 0,
      fan: drive.fan ? 1 : 0,
      door: drive.doorOpen ? 1 : 0,
      ambient: tenth(drive.ambient),
    });
  }
  return rows;
}

/** Days of a plain unit of a kind under its own fresh plan, after a day to settle. */
export function scenarioOf(kind: TemplateId): Scenario {
  const unit = plainUnit(kind);
  const scenario = unitScenario(unit, valuesOf(plan(unit)), { hours: 72, warmUpHours: 24 });
  if (typeof scenario === 'string') throw new Error(scenario);
  return scenario;
}
