import { check, remedyWords, type Finding, type Remedy } from '../checks/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { bandOf, controlConfig } from '../../machines/box/index.ts';
import { isQuantity, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import { written, writtenDifference } from '../../foundation/regulation/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import { simulate } from '../../machines/simulation/index.ts';
import { dayChecks, type DayCheck, type Seen } from './dayChecks.ts';
import { unitScenario } from './unitScenario.ts';

/** A finding with who made it and what takes it away, where something does. */
export interface JudgedFinding extends Finding {
  /** A rule of the trade, or a simulated run. */
  readonly by: 'rule' | 'run';
  readonly remedy: Remedy | null;
}

/** Every second, as the forecast is run: what is judged is what is shown. */
const STRIDE = 1;

/**
 * Findings that only a run can tell, on the unit's own box: a day as it is described, the same run that the forecast shows. Each remedy was run before it is offered:
 * the finding is gone, no other has come in its place, and no error of the rules. A sentence where nothing can be run.
 */
export function simulatedFindings(
  unit: UnitDescription,
  values: SettingValues,
  display: TemperatureUnit = 'degC',
): readonly JudgedFinding[] | string {
  const seen = look(unit, values, display);
  if (typeof seen === 'string') return seen;
  return dayChecks.flatMap((one): readonly JudgedFinding[] => {
    const found = one.find(seen);
    return found
      ? [{ code: one.code, ...found, by: 'run', remedy: remedyBySimulation(one, seen, display) }]
      : [];
  });
}

function look(unit: UnitDescription, values: SettingValues, display: TemperatureUnit): Seen | string {
  const config = controlConfig(values);
  const day = unitScenario(unit, values);
  if (typeof config === 'string') return config;
  if (typeof day === 'string') return day;
  return {
    values,
    unit,
    day: simulate(day, { stride: STRIDE })!,
    band: bandOf(config.stage, config.setpoint),
    limits: day.storage,
    show: (celsius) => written(celsius, display),
    showDifference: (kelvins) => writtenDifference(kelvins, display),
  };
}

/** Changes looked at for one finding: the mildest stand first, and each costs a day's run. */
const TRIED = 16;

/** Of the changes that take the finding away and bring no error of the rules: the one after which fewest findings stand, the mildest of equals. */
function remedyBySimulation(one: DayCheck, before: Seen, display: TemperatureUnit): Remedy | null {
  const said = (seen: Seen) => dayChecks.filter((c) => c.find(seen) !== null).length;
  const staticErrors = (values: SettingValues) =>
    check(values, before.unit).filter((f) => f.severity === 'error').length;
  const still = staticErrors(before.values);
  let best: SettingValues | null = null;
  // Fewer than before: a finding is not traded for another.
  let least = said(before);
  for (const change of one.changes(before.values).slice(0, TRIED)) {
    if (least === 0) break;
    const values = { ...before.values, ...change };
    if (staticErrors(values) > still) continue;
    const after = look(before.unit, values, display);
    if (typeof after === 'string' || one.find(after) !== null || said(after) >= least) continue;
    least = said(after);
    best = change;
  }
  if (!best) return null;
  const news = Object.fromEntries(
    Object.entries(best).filter(
      ([id, value]) =>
        JSON.stringify(before.values[id as SettingId]) !== JSON.stringify(value) &&
        // Absent is 0 for a time.
        !(before.values[id as SettingId] === undefined && isQuantity(value) && value.value === 0),
    ),
  ) as SettingValues;
  return { values: news, words: remedyWords(news) };
}
