import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { knownOf } from '../../logs/against/index.ts';
import { analyse } from '../../logs/analysis/index.ts';
import { courseOf, cutLog } from '../../logs/course/index.ts';
import type { Log } from '../../logs/reading/index.ts';
import {
  measuredFigures,
  type BoxFinding,
  type Course,
  type PredictedFigure,
  type PredictedId,
} from '../../machines/identification/index.ts';
import { courseFinding } from './problems.ts';

/** How a measured figure stands to what was predicted: within its interval, close to it, or elsewhere. */
export type Stands = 'inside' | 'near' | 'off';

/** One predicted figure beside what the log came to. */
export interface HeldFigure extends PredictedFigure {
  readonly figure: PredictedId;
  readonly measured: number;
  readonly stands: Stands;
}

/** So far from its value a figure may lie outside of the interval and still be no surprise: what a technician would not notice (starts 20 % or 0.3 an hour, duty 5 points, defrost 25 % or 3 min, mean 0.7 K, greatest 1.5 K). */
const close: Readonly<Record<PredictedId, (measured: number) => number>> = {
  startsPerHour: (measured) => Math.max(0.3, 0.2 * measured),
  dutyPercent: () => 5,
  defrostMinutes: (measured) => Math.max(3, 0.25 * measured),
  defrostsPerDay: () => 1,
  airMean: () => 0.7,
  airMax: () => 1.5,
};

/** Half of the last place in which a figure is read: nearer to an end of the interval than that is inside. */
const readTo: Readonly<Record<PredictedId, number>> = {
  startsPerHour: 0.05,
  dutyPercent: 0.5,
  defrostMinutes: 0.5,
  defrostsPerDay: 0.05,
  airMean: 0.05,
  airMax: 0.05,
};

/** Days that a prediction speaks of: the greatest air of more days is greater. */
const DAYS = 3;

/** What is held against what. */
export interface Holding {
  readonly log: Log;
  /** The settings that were spoken of. */
  readonly values: SettingValues;
  readonly figures: readonly (PredictedFigure & { readonly figure: PredictedId })[];
  /** Rows before this moment of the log's own clock are older than the prediction and left out; null: none are. */
  readonly since?: number | null;
}

/** Holds a log against what was predicted of the unit. The sentences that say why it cannot be. */
export function holdAgainst({
  log: whole,
  values,
  figures,
  since = null,
}: Holding): readonly HeldFigure[] | { readonly because: readonly BoxFinding[] } {
  const log = since === null ? whole : cutLog(whole, { from: since, to: Infinity });
  if (log.time.length < 2)
    return { because: [courseFinding({ code: 'tooShort', fatal: true, numbers: { hours: 0 } })] };
  const { course, problems } = courseOf(log, values);
  // One that hardly ever switches says nothing of the box, and all the more of the prediction.
  const hardlySwitches = problems.some(({ code }) => code === 'nothingSwitches' || code === 'fewCycles');
  if (!course && !hardlySwitches) return { because: problems.map(courseFinding) };
  const measured = course ? measuredOf(course) : standingOf(log, values);
  return figures.flatMap(({ figure, value, low, high }): readonly HeldFigure[] => {
    const is = measured[figure];
    if (is === null) return [];
    const held = { figure, value, low, high, measured: is };
    return [{ ...held, stands: standsOf(held) }];
  });
}

/** How a measured figure stands to its prediction. */
export function standsOf({
  figure,
  measured,
  value,
  low,
  high,
}: PredictedFigure & { readonly figure: PredictedId; readonly measured: number }): Stands {
  const half = readTo[figure];
  if (measured >= low - half && measured <= high + half) return 'inside';
  return Math.abs(measured - value) <= close[figure](measured) ? 'near' : 'off';
}

function measuredOf(course: Course): Readonly<Record<PredictedId, number | null>> {
  const { startsSeen, dutyPercent, defrostMinutes, airMean } = measuredFigures(course);
  const { air, time, defrosts } = course;
  const days = time.at(-1)! / SECONDS_PER_DAY;
  return {
    startsPerHour: startsSeen,
    dutyPercent,
    defrostMinutes,
    defrostsPerDay: defrosts.length / days,
    airMean,
    airMax: greatest(time, air),
  };
}

/** What a log without cycles came to: it ran, or stood, all the time. */
function standingOf(log: Log, values: SettingValues): Readonly<Record<PredictedId, number | null>> {
  const { startsPerHour, dutyPercent } = analyse(log, knownOf(values));
  const air = log.values.air!;
  const read = air.filter((t) => t === t);
  return {
    startsPerHour: startsPerHour ?? 0,
    dutyPercent,
    defrostMinutes: null,
    defrostsPerDay: null,
    airMean: read.reduce((sum, t) => sum + t, 0) / Math.max(1, read.length),
    airMax: greatest(
      log.time.map((t) => t - log.time[0]!),
      air,
    ),
  };
}

/** The greatest air of the first days, °C. */
function greatest(time: Float64Array, air: Float64Array): number {
  let most = -Infinity;
  for (let i = 0; i < air.length && time[i]! < DAYS * SECONDS_PER_DAY; i += 1)
    if (air[i]! > most) most = air[i]!;
  return most;
}
