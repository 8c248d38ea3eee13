import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { chance, middleMean, normal, quantile } from '../../foundation/statistics/index.ts';
import type { Scenario } from '../simulation/index.ts';
import { drawPoints } from './draws.ts';
import { figuresOf, type DayFigures } from './figuresOf.ts';
import { loggerAt, ownPlantAt } from './ownPlantAt.ts';

/** A figure with its 80 % interval. */
export interface PredictedFigure {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What is predicted of days under other settings. */
export const predictedIds = [
  'startsPerHour',
  'dutyPercent',
  'defrostMinutes',
  'defrostsPerDay',
  'airMean',
  'airMax',
] as const;
export type PredictedId = (typeof predictedIds)[number];

/** What no log says, and so no log confirms: estimated by the boxes drawn alone. */
export const estimatedIds = ['productMax', 'iceLeft', 'energyPerDay'] as const;
export type EstimatedId = (typeof estimatedIds)[number];

/** What days under other settings will come to; air as the logging thermometer reads it, °C; product °C, ice kg, energy kWh a day. Null where there is none of it. */
export type Predicted = Readonly<Record<PredictedId | EstimatedId, PredictedFigure | null>>;

/** How warm days differ from their mean, K (common practice: kitchens and yards within a few degrees). */
const WEATHER_K = 1.2;
const DRAWS = 32;

/** What was drawn: the same box and the same chance of days for the same seed. */
export interface DrawOptions {
  readonly draws?: number;
  readonly seed?: number;
  /** Which days: doors and weather differ from one to the other, the boxes drawn do not. */
  readonly days?: 'logged' | 'coming';
  /** Seconds from look to look of the logger that counts. */
  readonly every?: number;
  /** Told the share done; false stops it. */
  readonly progress?: (share: number) => boolean;
}

/** Figures of every draw: the box by what was learned, days by chance. Null where it was stopped. */
export function drawnFigures(
  scenario: Scenario,
  { at, covariance }: { readonly at: Float64Array; readonly covariance: Float64Array },
  { draws = DRAWS, seed = 1, days = 'coming', every = 60, progress = () => true }: DrawOptions = {},
): readonly DayFigures[] | null {
  const points = drawPoints(at, covariance, draws, seed);
  const count = Math.ceil((scenario.warmUp + scenario.seconds) / SECONDS_PER_DAY) + 1;
  const figures: DayFigures[] = [];
  for (const [i, point] of points.entries()) {
    if (!progress(i / draws)) return null;
    const day = seed * 1000 + i + (days === 'logged' ? 500 : 0);
    const random = chance(day);
    const weather = Array.from({ length: count }, () => WEATHER_K * normal(random));
    const own = ownPlantAt(scenario, point, { seed: day, weather });
    figures.push(figuresOf({ ...scenario, own }, loggerAt(point, every)));
  }
  return figures;
}

/** What days like the logged ones come to, as far as they are carried over. */
export type LoggedDays = Pick<
  DayFigures,
  'startsSeen' | 'dutyPercent' | 'defrostMinutes' | 'airMean' | 'airDayMax'
>;

/** What the log's own days came to. */
export type Measured = LoggedDays & {
  /** Outputs were logged; else they were read from the turns of the air. */
  readonly outputsLogged: boolean;
};

/**
 * What a model still misses, besides what it does not know of the box: one standard error of a figure that was carried from measured days to days under other settings; a share of it, or in its own unit. From boxes
 * that are built otherwise (docs/identification.md); of ice and energy ours, since no log tells them.
 */
const MISSES = {
  starts: 0.05,
  duty: 1.2,
  defrost: 0.05,
  airMean: 0.12,
  airMax: 0.5,
  ice: 0.3,
  energy: 0.1,
} as const;
/** Duty that was read from the turns of the air, for want of a compressor column, %. */
const DUTY_FROM_TURNS = 3;

/** A draw is not put to what was measured by more than this either way: where it hardly starts at all, a ratio says nothing. */
const MOST_CARRIED = 2.5;

/** What a draw says of the new days, put to the log by what it says of the logged ones. */
function ratio(is: number, was: number, log: number): number {
  return was > 0 ? is * Math.min(MOST_CARRIED, Math.max(1 / MOST_CARRIED, log / was)) : is;
}

/**
 * Figures under other settings, each draw carried over from the log: what the draw says of the new days against what it says of the logged ones, put to what was measured. So a draw that starts a tenth too
 * often starts a tenth too often before and after, and only what the change does is left to the model.
 */
export function carriedOver(
  after: readonly DayFigures[],
  before: readonly LoggedDays[],
  measured: Measured,
  seed = 1,
): Predicted {
  const random = chance(seed + 77);
  const figure = (
    draw: (is: DayFigures, was: LoggedDays) => number,
    misses: (value: number) => number,
    { least = -Infinity, most = Infinity } = {},
  ): PredictedFigure => {
    const within = (x: number) => Math.min(most, Math.max(least, x));
    const drawn = after.map((is, i) => draw(is, before[i]!));
    const value = within(middleMean(drawn));
    const spread = drawn.map((x) => x + misses(value) * normal(random));
    return {
      value,
      low: Math.min(value, within(quantile(spread, 0.1))),
      high: Math.max(value, within(quantile(spread, 0.9))),
    };
  };
  const length = (f: LoggedDays) => f.defrostMinutes ?? 0;
  return {
    startsPerHour: figure(
      (is, was) => ratio(is.startsPerHour, was.startsSeen, measured.startsSeen),
      (v) => MISSES.starts * v,
      { least: 0 },
    ),
    dutyPercent: figure(
      (is, was) => ratio(is.dutyPercent, was.dutyPercent, measured.dutyPercent),
      () => (measured.outputsLogged ? MISSES.duty : DUTY_FROM_TURNS),
      { least: 0, most: 100 },
    ),
    defrostMinutes: after.every((f) => f.defrostMinutes === null)
      ? null
      : figure(
          (is, was) =>
            measured.defrostMinutes === null
              ? length(is)
              : ratio(length(is), length(was), measured.defrostMinutes),
          (v) => MISSES.defrost * v,
          { least: 0 },
        ),
    defrostsPerDay: figure(
      (is) => is.defrostsPerDay,
      () => 0,
    ),
    airMean: figure(
      (is, was) => is.airMean - was.airMean + measured.airMean,
      () => MISSES.airMean,
    ),
    airMax: figure(
      (is, was) => is.airMax - was.airDayMax + measured.airDayMax,
      () => MISSES.airMax,
    ),
    productMax: figure(
      (is, was) => is.productMax - was.airMean + measured.airMean,
      () => MISSES.airMean,
    ),
    iceLeft: after.every((f) => f.iceLeft === null)
      ? null
      : figure(
          (is) => is.iceLeft ?? 0,
          (v) => MISSES.ice * v,
          { least: 0 },
        ),
    energyPerDay: figure(
      (is, was) => ratio(is.energyPerDay, was.dutyPercent, measured.dutyPercent),
      (v) => MISSES.energy * v,
      { least: 0 },
    ),
  };
}
