import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import { isQuantity } from '../../foundation/quantities/index.ts';
import type { Sentence } from '../../foundation/sentences/index.ts';
import { controlConfig } from '../../machines/box/index.ts';
import { engineOf } from '../../machines/engine/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { check, rangeAround, remedyWords, type Remedy } from '../checks/index.ts';
import { boundChecks, lookAt, type SeenDay } from './seen.ts';
import { unitDay, type UnitDay } from './unitDay.ts';
import { works, type WorkId } from './workRemedies.ts';

/** Work on the unit that takes a finding away; run before it is offered. */
export interface WorkRemedy {
  readonly work: WorkId;
  readonly words: Sentence;
}

/** Values to be set with one press, or work to be done. */
export type AnyRemedy = Remedy | WorkRemedy;

/** What a remedy is looked for on: the unit, its values, and how its day went. */
export interface Ill {
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  readonly day: UnitDay;
  readonly seen: SeenDay;
  readonly display: TemperatureUnit;
  /** What the control makes of values: a change that it cannot hold mends nothing. */
  readonly held: (values: SettingValues) => SettingValues;
}

/** A remedy with what is still said after it, by code. */
export interface Mended {
  readonly remedy: AnyRemedy;
  readonly left: ReadonlySet<string>;
}

/** Changes looked at for one finding: the mildest stand first, and each costs a day's run. */
const TRIED = 16;
/** Changes are screened at this stride; the one that is offered was run every second, as everything that is shown. */
const SCREEN = 5;

const codesOf = (day: SeenDay): ReadonlySet<string> =>
  new Set(boundChecks(day).flatMap((one) => (one.found ? [one.code] : [])));

/** The change of values, else the work, after which the finding is gone and fewer stand than before; null where none was found. */
export function mend(code: string, ill: Ill): Mended | null {
  return byValues(code, ill) ?? byWork(code, ill);
}

function byValues(code: string, ill: Ill): Mended | null {
  const { unit, values, seen, held } = ill;
  const one = boundChecks(seen).find((bound) => bound.code === code)!;
  const before = codesOf(seen).size;
  const still = ruleErrors(values, unit);
  let best: SettingValues | null = null;
  // Fewer than before: a finding is not traded for another.
  let least = before;
  for (const bare of one.changes(values).slice(0, TRIED)) {
    if (least === 0) break;
    // A set point that is moved past an end of the user's range takes that end along.
    const change = 'regulation.setpoint' in bare ? { ...bare, ...rangeAround({ ...values, ...bare }) } : bare;
    const set = { ...values, ...change };
    if (ruleErrors(held(set), unit) > still) continue;
    const left = after(ill, set, SCREEN);
    if (left === null || left.has(code) || left.size >= least) continue;
    least = left.size;
    best = change;
  }
  if (!best) return null;
  const left = after(ill, { ...values, ...best }, 1);
  if (left === null || left.has(code) || left.size >= before) return null;
  const news = newsOf(values, best);
  return { remedy: { values: news, words: remedyWords(news) }, left };
}

/** Errors of the rules on these values. */
const ruleErrors = (values: SettingValues, unit: UnitDescription): number =>
  check(values, unit).filter((f) => f.severity === 'error').length;

/** What is said after other values were set; null where they cannot be run. */
function after(
  { unit, display, held }: Ill,
  wanted: SettingValues,
  stride: number,
): ReadonlySet<string> | null {
  const values = held(wanted);
  const day = unitDay(unit, values);
  return typeof day === 'string' ? null : codesOf(lookAt(unit, values, day, display, stride));
}

function byWork(code: string, { unit, values, day, seen, display }: Ill): Mended | null {
  const before = codesOf(seen).size;
  for (const { work, words, done } of works) {
    const worked = done(unit, values, day);
    if (!worked) continue;
    const with_ = rerun(worked.day, worked.values);
    if (!with_) continue;
    const left = codesOf(lookAt(unit, worked.values, with_, display));
    if (left.has(code) || left.size > before) continue;
    return { remedy: { work, words }, left };
  }
  return null;
}

/** A day under other values: the control is read anew, and an engine's with it. */
function rerun(day: UnitDay, values: SettingValues): UnitDay | null {
  if (day.machine === 'condenser') return day;
  const config = controlConfig(values);
  if (typeof config === 'string') return null;
  if (day.machine !== 'engine') return { ...day, scenario: { ...day.scenario, config } };
  const engine = engineOf(values);
  return typeof engine === 'string' ? null : { ...day, scenario: { ...day.scenario, config, engine } };
}

/** Of a change, what is new. Absent is 0 for a time. */
const newsOf = (values: SettingValues, change: SettingValues): SettingValues =>
  Object.fromEntries(
    Object.entries(change).filter(
      ([id, value]) =>
        JSON.stringify(values[id as SettingId]) !== JSON.stringify(value) &&
        !(values[id as SettingId] === undefined && isQuantity(value) && value.value === 0),
    ),
  );
