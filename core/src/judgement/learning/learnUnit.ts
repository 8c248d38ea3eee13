import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { courseOf } from '../../logs/course/index.ts';
import type { Log } from '../../logs/reading/index.ts';
import {
  alongLog,
  BOX_FORMAT,
  type BesideLog,
  drawnColumns,
  drawnFigures,
  identify,
  measuredFigures,
  naturalOf,
  parameters,
  type BoxFile,
  type BoxFinding,
  type BoxFit,
  type Learned,
  type LoggedDays,
  type Measured,
  type Priors,
} from '../../machines/identification/index.ts';
import type { Scenario } from '../../machines/simulation/index.ts';
import { isLearnable, unitScenario } from '../tuning/index.ts';
import { usualOf } from './usualOf.ts';
import { learnedFindings } from './learned.ts';
import { courseFinding } from './problems.ts';

/** What a unit is learned from. */
export interface Lesson {
  readonly log: Log;
  readonly unit: UnitDescription;
  /** The settings that were in force while it was logged. */
  readonly values: SettingValues;
  /** What a company learned of its other boxes of the kind. */
  readonly priors?: Priors;
  /** Told the share done; false stops it. */
  readonly progress?: (share: number) => boolean;
}

/** A unit's own box, or why there is none. */
export type Learning =
  | {
      readonly box: BoxFile;
      /** The part of the log that was learned from, in its own seconds. */
      readonly from: number;
      readonly to: number;
      readonly beside: BesideLog;
    }
  | { readonly box: null; readonly because: readonly BoxFinding[] };

/** What takes most of the time: the fit, before what its draws say of the logged days. */
const FIT_SHARE = 0.7;

/**
 * Learns a unit's own box from a log: parameters with their errors, how well they say what was logged, and findings in words. Null where it was stopped. A sentence where the machine is
 * none that is learned.
 */
export function learnUnit({
  log,
  unit,
  values,
  priors,
  progress = () => true,
}: Lesson): Learning | string | null {
  const scenario = unitScenario(usualOf(unit), values, { hours: 72, warmUpHours: 24 });
  if (typeof scenario === 'string') return scenario;
  if (scenario.tank || scenario.engine)
    return 'A refrigerated box is learned from its log; a tank of water and a transport engine are not yet.';
  if (!isLearnable(scenario))
    return 'A box that is cooled is learned from its log; one that is heated is not yet.';
  const { course, begins, problems } = courseOf(log, values);
  if (!course) return { box: null, because: problems.map(courseFinding) };
  const learned = identify({
    course,
    scenario,
    ...(priors && { priors }),
    progress: (share) => progress(share * FIT_SHARE),
  });
  const drawn =
    learned &&
    drawnFigures(scenario, learned, {
      days: 'logged',
      every: course.step,
      progress: (share) => progress(FIT_SHARE + share * (1 - FIT_SHARE)),
    });
  if (!drawn) return null;
  return {
    from: begins,
    to: begins + course.time.at(-1)!,
    beside: alongLog(scenario, course, learned.at),
    box: {
      format: BOX_FORMAT,
      application: unit.application,
      parameters: parametersOf(scenario, learned, priors),
      fit: fitOf(learned, measuredFigures(course), drawn),
      findings: [...problems.map(courseFinding), ...learnedFindings(scenario, course, learned, priors)],
      hours: (course.time.at(-1)! - course.time[0]!) / 3600,
      step: course.step,
      point: Array.from(learned.at, short),
      ...(priors && { priors }),
      covariance: rowsOf(learned.covariance.map(short)),
      drawn: drawn.map((figures) =>
        drawnColumns.map((name) => (figures[name] === null ? null : short(figures[name]))),
      ),
    },
  };
}

/** Digits that are kept of what is written down: more than any log tells. */
const short = (value: number): number => Number(value.toPrecision(7));

function parametersOf(
  scenario: Scenario,
  { at, covariance }: Learned,
  priors: Priors | undefined,
): BoxFile['parameters'] {
  const natural = naturalOf(scenario, at, covariance, priors);
  return Object.fromEntries(
    parameters.map(({ id, unit }) => {
      const { value, error, from } = natural[id];
      return [id, { value: short(value), error: short(error), from, unit }];
    }),
  ) as BoxFile['parameters'];
}

function fitOf(learned: Learned, measured: Measured, drawn: readonly LoggedDays[]): BoxFit {
  const mean = (name: (typeof drawnColumns)[number]) =>
    drawn.reduce((sum, figures) => sum + (figures[name] ?? 0), 0) / drawn.length;
  return {
    airRmsKelvin: learned.airRms,
    startsPerHour: { measured: measured.startsSeen, model: mean('startsSeen') },
    dutyPercent: { measured: measured.dutyPercent, model: mean('dutyPercent') },
    defrostMinutes:
      measured.defrostMinutes === null
        ? null
        : { measured: measured.defrostMinutes, model: mean('defrostMinutes') },
    airMean: { measured: measured.airMean, model: mean('airMean') },
    airDayMax: { measured: measured.airDayMax, model: mean('airDayMax') },
    outputsLogged: measured.outputsLogged,
  };
}

function rowsOf(square: Float64Array): readonly (readonly number[])[] {
  const n = Math.sqrt(square.length);
  return Array.from({ length: n }, (_, i) => [...square.subarray(i * n, (i + 1) * n)]);
}
