import { MILLISECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
/** How the coil looks when the fans stop. */
export type CoilLook = 'wet' | 'dry';

/** Humidity read in the cellar, and steps of the fans' run-on, as they were written down. ISO 8601, %, min. */
export interface HumidityCourse {
  /** `coil`: how it looked at the end of the run-on; null where nobody looked. */
  readonly readings: readonly {
    readonly at: string;
    readonly percent: number;
    readonly coil: CoilLook | null;
  }[];
  readonly steps: readonly { readonly at: string; readonly minutes: number }[];
}

/** What is wanted and what is set. % and min. */
export interface HumidityWish {
  readonly low: number;
  readonly high: number;
  readonly runOn: number;
}

/** The next step of the plan. `to`: minutes of run-on; `from`: when it may be done, ISO 8601. */
export interface HumidityDecision {
  readonly next: 'read' | 'wait' | 'raise' | 'lower' | 'stay' | 'dry' | 'spent' | 'most';
  readonly to: number | null;
  readonly from: string | null;
  readonly why: string;
}

/** Common practice: steps of 5 min, never above 15, at least three days between two, a reading before each. */
export const STEP_MINUTES = 5;
export const MOST_MINUTES = 15;
export const DAYS_BETWEEN = 3;
/** A reading older than this says nothing of today. */
const FRESH_DAYS = 2;
/** A step that gains less has nothing behind it, % of relative humidity (a hygrometer is no better). */
const NO_GAIN = 1.5;

/** Decides the next step of the run-on from readings and steps. Pure: the same course and moment, the same answer. */
export function decideHumidity(course: HumidityCourse, wish: HumidityWish, now: string): HumidityDecision {
  const time = Date.parse(now);
  const readings = course.readings
    .filter((r) => Date.parse(r.at) <= time)
    .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const steps = course.steps
    .filter((s) => Date.parse(s.at) <= time)
    .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const step = steps.at(-1) ?? null;
  const last = readings.at(-1) ?? null;
  const due = step ? Date.parse(step.at) + DAYS_BETWEEN * MILLISECONDS_PER_DAY : -Infinity;
  if (!last)
    return answer(
      'read',
      'No humidity was read yet: read it in the middle of the cellar, away from coil and door, before anything is changed.',
    );
  if (time < due)
    return answer(
      'wait',
      `Changed to ${step!.minutes} min less than ${DAYS_BETWEEN} days ago: product and walls answer slowly, a reading now misleads.`,
      null,
      new Date(due).toISOString(),
    );
  if ((step && Date.parse(last.at) < due) || time - Date.parse(last.at) > FRESH_DAYS * MILLISECONDS_PER_DAY)
    return answer(
      'read',
      step && Date.parse(last.at) < due
        ? `Read the humidity now: the last reading is from before the ${DAYS_BETWEEN} days after the change were over.`
        : 'The last reading is more than two days old: read it again before a step.',
    );
  if (last.percent >= wish.low && last.percent <= wish.high)
    return answer('stay', `${last.percent} % is within ${wish.low} to ${wish.high} %: leave it.`);
  if (last.percent > wish.high)
    return wish.runOn <= 0
      ? answer(
          'spent',
          `${last.percent} % is above ${wish.high} % without any run-on: the moisture comes from product, floor or door, not from the fans.`,
        )
      : answer(
          'lower',
          `${last.percent} % is above ${wish.high} %: a step back.`,
          Math.max(0, wish.runOn - STEP_MINUTES),
        );
  if (last.coil === 'dry')
    return answer(
      'dry',
      `${last.percent} % is below ${wish.low} %, but the coil was dry when the fans stopped: longer only warms the cellar. A smaller difference between coil and air, or water brought in, is what is left.`,
    );
  const before = step ? readings.filter((r) => Date.parse(r.at) <= Date.parse(step.at)).at(-1) : null;
  const raised = steps.length >= 2 ? step!.minutes > steps.at(-2)!.minutes : (step?.minutes ?? 0) > 0;
  if (step && raised && before && last.percent - before.percent < NO_GAIN)
    return answer(
      'spent',
      `The step to ${step.minutes} min brought ${(last.percent - before.percent).toFixed(1)} %: there is nothing more to gain this way.`,
    );
  if (wish.runOn >= MOST_MINUTES)
    return answer(
      'most',
      `${MOST_MINUTES} min is the most that is used: what is missing does not come from the coil.`,
    );
  return answer(
    'raise',
    `${last.percent} % is below ${wish.low} %: one step.`,
    Math.min(MOST_MINUTES, wish.runOn + STEP_MINUTES),
  );
}

const answer = (
  next: HumidityDecision['next'],
  why: string,
  to: number | null = null,
  from: string | null = null,
): HumidityDecision => ({ next, to, from, why });
