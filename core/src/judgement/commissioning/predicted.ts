import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { simulate, type Scenario } from '../../machines/simulation/index.ts';
import { unitScenario } from '../tuning/index.ts';
import { ambientOf, commissioned, type CommissionedBox } from './commissionedBox.ts';

/** A point of a pull-down: minutes since the start, °C in a slow, a likely and a quick box. */
export interface PullDownPoint {
  readonly minutes: number;
  readonly slow: number;
  readonly likely: number;
  readonly quick: number;
}

/** What the simulation of this unit says of its first hours. Minutes; null where it is not reached within the run. */
export interface Predicted {
  readonly startsAt: number;
  readonly curve: readonly PullDownPoint[];
  readonly minutesToCutOut: {
    readonly slow: number | null;
    readonly likely: number | null;
    readonly quick: number | null;
  };
  readonly defrostMinutes: number | null;
  readonly startsPerHour: number;
  readonly dutyPercent: number;
}

const HOUR = 3600;
const PULL_DOWN_HOURS = 8;
/** Points of the curve. */
const POINTS = 240;

/**
 * Pull-down from a temperature (ambient where none is given) and an ordinary day after it, simulated for this unit and these settings: the band in which the air
 * should come down. A sentence where nothing can be run.
 */
export function predict(
  unit: UnitDescription,
  values: SettingValues,
  startsAt: number | null = null,
): Predicted | string {
  const day = unitScenario(unit, values);
  if (typeof day === 'string') return day;
  const from = startsAt ?? ambientOf(day);
  const run = (box: CommissionedBox) => {
    const scenario: Scenario = {
      ...commissioned(day, box, from),
      seconds: (day.tank ? 5 : 1) * PULL_DOWN_HOURS * HOUR,
    };
    return simulate(scenario, { stride: 5, sampleEvery: scenario.seconds / POINTS })!;
  };
  const [slow, likely, quick] = [run('slow'), run('likely'), run('quick')];
  const reached = (r: typeof slow) => {
    const stop = r.events.find((e) => e.kind === 'compressor' && e.value === false && e.reason !== 'defrost');
    return stop ? stop.t / 60 : null;
  };
  const figures = simulate(day, { stride: 5 })!.figures;
  return {
    startsAt: from,
    curve: likely.series.map((sample, i) => ({
      minutes: sample.t / 60,
      slow: slow.series[i]!.air,
      likely: sample.air,
      quick: quick.series[i]!.air,
    })),
    minutesToCutOut: { slow: reached(slow), likely: reached(likely), quick: reached(quick) },
    defrostMinutes: figures.longestDefrostMinutes > 0 ? figures.longestDefrostMinutes : null,
    startsPerHour: figures.startsPerHour,
    dutyPercent: figures.dutyPercent,
  };
}
