import { inWords, joinSentences, sentence, type Sentence } from '../../foundation/sentences/index.ts';
import { check, remedyWords } from '../checks/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { printNumber, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import { sameValue, type SettingId, type SettingValues } from '../../foundation/settings/index.ts';
import { axisFor, combinations, stepsFrom, type Axis } from './axis.ts';
import { goals, type GoalId, type Judged } from './goals.ts';

/** A tuning to be done: plain data, so that it goes to workers as it is. */
export interface TuningTask {
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  readonly goal: GoalId;
  readonly axes: readonly Axis[];
  readonly display: TemperatureUnit;
}

/** A variant and what became of it. */
export interface TuningRow extends Judged {
  readonly index: number;
  readonly change: SettingValues;
  /** True for the values as they are set. */
  readonly present: boolean;
}

/** What tuning comes to. */
export interface Tuned {
  readonly rows: readonly TuningRow[];
  readonly advised: TuningRow;
  readonly sound: boolean;
  readonly reason: Sentence;
}

/** Screening goes at this stride; the advised variant is run once more at 1 s. */
const SCREEN = 5;
export const MOST_VARIANTS = 200;

/** A task with the goal's own settings swept, or those asked for. A sentence where nothing can be swept. */
export function tuningTask(
  unit: UnitDescription,
  values: SettingValues,
  goal: GoalId,
  display: TemperatureUnit,
  settings: readonly SettingId[] = goals[goal].settings(values),
): TuningTask | string {
  const axes = settings.flatMap((id) => axisFor(id, unit, values, display) ?? []);
  if (axes.length === 0) return `${goals[goal].name}: expected ${settings.join(' or ')} to be set`;
  return { unit, values, goal, axes: withinLimit(axes), display };
}

/** Every second value of the longer axis goes until there are no more variants than a sweep may have. */
function withinLimit(axes: readonly Axis[]): readonly Axis[] {
  const size = axes.reduce((n, axis) => n * axis.values.length, 1);
  if (size <= MOST_VARIANTS) return axes;
  const longest = axes.reduce((one, next) => (next.values.length > one.values.length ? next : one));
  return withinLimit(
    axes.map((axis) =>
      axis === longest ? { ...axis, values: axis.values.filter((_, i) => i % 2 === 0) } : axis,
    ),
  );
}

/** The variants of a task: what is set first, then every combination of the axes that differs from it. */
export function variantsOf({ axes, values }: TuningTask): readonly SettingValues[] {
  const present = (change: SettingValues) =>
    (Object.keys(change) as SettingId[]).every((id) => sameValue(change[id], values[id]));
  return [{}, ...combinations(axes).filter((change) => !present(change))];
}

/** Runs one variant. */
export function tryVariant(task: TuningTask, index: number, stride = SCREEN): TuningRow {
  const change = variantsOf(task)[index] ?? {};
  const values = { ...task.values, ...change };
  const judged = goals[task.goal].judge(values, { unit: task.unit, display: task.display, stride });
  const broken = typeof judged === 'string' ? [judged] : newErrors(task, values);
  return {
    ...(typeof judged === 'string' ? { score: Infinity, price: 0, against: [] } : judged),
    against: [...broken, ...(typeof judged === 'string' ? [] : judged.against)],
    index,
    change,
    present: index === 0,
  };
}

/** What no variant may bring: an error of the checks that was not there before. */
function newErrors(
  { unit, values: before, display }: TuningTask,
  values: SettingValues,
): readonly Sentence[] {
  const errors = (set: SettingValues) => check(set, unit).filter((f) => f.severity === 'error');
  const known = new Set(errors(before).map((f) => f.code));
  return errors(values).flatMap((f) =>
    known.has(f.code) ? [] : [inWords(f.message, display).replace(/\.$/, '')],
  );
}

/**
 * The advised variant: of those with nothing against them the least score, of equals (within 1 %) the one nearest to what is set; each candidate is run again at
 * 1 s before it is taken. Where none is sound, the one with least against it.
 */
export function advise(task: TuningTask, rows: readonly TuningRow[]): Tuned {
  const near = (row: TuningRow) => stepsFrom(task.values, { ...task.values, ...row.change }, task.axes);
  const sound = rows.filter((row) => row.against.length === 0).sort((a, b) => a.score - b.score);
  while (sound.length > 0) {
    const equals = sound.filter((row) => row.score <= sound[0]!.score * 1.01 + 1e-9);
    const best = equals.reduce((one, next) => (near(next) < near(one) ? next : one));
    const again = tryVariant(task, best.index, 1);
    if (again.against.length === 0)
      return { rows, advised: again, sound: true, reason: reasonFor(task, rows, again) };
    sound.splice(sound.indexOf(best), 1);
  }
  const least = [...rows].sort((a, b) => a.against.length - b.against.length || a.score - b.score)[0]!;
  return {
    rows,
    advised: least,
    sound: false,
    reason: sentence`None of ${rows.length} variants is sound; this one has least against it: ${joinSentences(least.against, '; ')}.`,
  };
}

function reasonFor(task: TuningTask, rows: readonly TuningRow[], best: TuningRow): Sentence {
  const goal = goals[task.goal];
  const label = goal.score({ unit: task.unit, display: task.display, stride: 1 });
  const number = (score: number) => printNumber(score, score < 10 ? 2 : score < 100 ? 1 : 0);
  const sound = rows.filter((row) => row.against.length === 0).length;
  const present = rows.find((row) => row.present);
  const before: Sentence =
    !present || best.present
      ? ''
      : present.against.length > 0
        ? sentence`; in the unit: ${joinSentences(present.against, '; ')}`
        : `; in the unit: ${number(present.score)}`;
  const words = best.present ? 'What is set is already best' : remedyWords(best.change);
  return sentence`${words}: ${number(best.score)} ${label}, the least of the ${sound} of ${rows.length} variants with nothing against them${before}.`;
}
