import { bandOf, controlConfig } from '../../machines/box/index.ts';
import { restOfPullDown, type Predicted, type RestOfPullDown } from '../../judgement/commissioning/index.ts';
import { BEYOND_K, type AirNow, type VisitQuestion } from '../../judgement/leaving/index.ts';
import { allStanding, standing, type JobState } from '../fold/index.ts';
import { outNow } from './borrowed.ts';
import { movableOf } from './moving.ts';
import type { Program } from './program.ts';
import type { Proving } from './proving.ts';

/** The time that somebody has at the unit; ISO 8601. */
export interface Visit {
  readonly startedAt: string;
  readonly minutes: number;
  readonly leavesAt: string;
}

/** The visit that is planned; null where none is. */
export function visitOf(state: JobState): Visit | null {
  const visit = standing(state, 'visit', 'visit');
  if (!visit?.startedAt) return null;
  const leaves = new Date(Date.parse(visit.startedAt) + 60_000 * visit.minutes);
  return { startedAt: visit.startedAt, minutes: visit.minutes, leavesAt: leaves.toISOString() };
}

/** What the people on site are asked, in the order of its time. */
export const siteQuestionsOf = (state: JobState) =>
  allStanding(state, 'siteQuestion')
    .flatMap(({ id, question, answer }) => (question ? [{ id, ...question, answer }] : []))
    .toSorted((a, b) => a.at.localeCompare(b.at));
export type AskedOnSite = ReturnType<typeof siteQuestionsOf>[number];

/** A reading of the air counts for so long, ms. */
const FRESH = 15 * 60_000;

/** Where the air stands at a moment, by the last reading, the pull-down that was started and what is proven. */
export function airNow(
  state: JobState,
  program: Program,
  proving: Proving,
  predicted: Predicted | null,
  now: Date,
): AirNow {
  const fresh = proving.pullDown.findLast(({ at }) => now.getTime() - Date.parse(at) < FRESH);
  const config = controlConfig(program.inForce);
  const band = typeof config === 'string' ? null : bandOf(config.stage, config.setpoint);
  const within =
    fresh !== undefined &&
    band !== null &&
    fresh.celsius <= Math.max(band.cutIn, band.cutOut) + BEYOND_K &&
    fresh.celsius >= Math.min(band.cutIn, band.cutOut) - BEYOND_K;
  const start = proving.pullDownStart;
  const readings = proving.pullDown
    .filter(({ at }) => start !== null && at >= start)
    .map(({ at, celsius }) => ({ minutes: (Date.parse(at) - Date.parse(start!)) / 60_000, celsius }));
  const elapsed = start === null ? null : (now.getTime() - Date.parse(start)) / 60_000;
  const rest = predicted && elapsed !== null ? restOfPullDown(predicted, readings, elapsed) : null;
  const regulates =
    within ||
    isProvenAsPlanned(state, 'regulation.cutOut') ||
    (fresh === undefined && isLongDown(predicted, elapsed, rest));
  return {
    celsius: fresh?.celsius ?? byCurve(predicted, elapsed, rest?.pace ?? 1),
    regulates,
    started: regulates || start !== null || powerSince(state, now) !== null,
    ...(rest && !regulates && { pullDown: rest }),
  };
}

/** Whether a pull-down that was started is over by now, with room for a slow box. */
function isLongDown(
  predicted: Predicted | null,
  elapsed: number | null,
  rest: RestOfPullDown | null,
): boolean {
  const likely = predicted?.minutesToCutOut.likely;
  return elapsed !== null && typeof likely === 'number' && elapsed > SLOW * (rest?.pace ?? 1) * likely;
}

/** So many times as long as the likely box, and nobody takes a box for warm any more (ours). */
const SLOW = 1.6;

/** Where the air should be by now, on the likely curve at its pace; null before it was started. */
function byCurve(predicted: Predicted | null, elapsed: number | null, pace: number): number | null {
  if (!predicted || elapsed === null) return null;
  const minutes = elapsed / pace;
  const next = predicted.curve.findIndex((point) => point.minutes >= minutes);
  if (next <= 0) return (next < 0 ? predicted.curve.at(-1) : predicted.curve[0])?.likely ?? null;
  const [a, b] = [predicted.curve[next - 1]!, predicted.curve[next]!];
  return a.likely + ((minutes - a.minutes) / (b.minutes - a.minutes)) * (b.likely - a.likely);
}

/** Whether a test was passed with nothing borrowed for it. */
const isProvenAsPlanned = (state: JobState, test: string): boolean =>
  standing(state, `test:${test}`, 'test')?.result === 'passed' &&
  !allStanding(state, 'borrowed').some(({ setting, tests }) => setting !== null && tests.includes(test));

/** Since how long there is power, s: by the last test that switched it on, or by the pull-down; null where nobody said. */
function powerSince(state: JobState, now: Date): number | null {
  const times = (['test:power.order', 'test:power.delay', 'test:memory.kept', 'pullDown'] as const).flatMap(
    (key) => {
      const body = state.registers.get(key)?.at(-1)?.entry;
      if (body?.body.kind === 'test')
        return body.body.result === 'passed' ? [Date.parse(body.deviceTime)] : [];
      return body?.body.kind === 'pullDown' && body.body.startedAt ? [Date.parse(body.body.startedAt)] : [];
    },
  );
  return times.length === 0 ? null : Math.max(0, (now.getTime() - Math.max(...times)) / 1000);
}

/** What a visit is planned from, at a moment; null where the unit is not described yet. */
export function visitQuestion(
  state: JobState,
  program: Program,
  proving: Proving,
  predicted: Predicted | null,
  now: Date,
  display: VisitQuestion['display'],
): Omit<VisitQuestion, 'forecast'> | null {
  const visit = visitOf(state);
  if (!program.unit || !visit) return null;
  return {
    unit: program.unit,
    values: program.inForce,
    tests: proving.tests
      .filter(({ result }) => result === null)
      .map(({ test, startedAt }) => ({
        test,
        running: startedAt === null ? null : Math.max(0, (now.getTime() - Date.parse(startedAt)) / 1000),
      })),
    air: airNow(state, program, proving, predicted, now),
    seconds: Math.max(0, (Date.parse(visit.leavesAt) - now.getTime()) / 1000),
    powered: powerSince(state, now),
    movable: movableOf(program),
    out: outNow(state).map(({ id, tests }) => ({ id, tests })),
    display,
  };
}

/** A probe that is back reads the air of before, to this, K: doors were open, and it takes its time. */
const NEAR_K = 8;

/** Whether the display shows the air that was there before, °C, once a probe is back in its place; true where nobody knows how it was. */
export function readsTheAir(program: Program, air: AirNow, celsius: number): boolean {
  const config = controlConfig(program.inForce);
  if (air.regulates && typeof config !== 'string') {
    const { cutIn, cutOut } = bandOf(config.stage, config.setpoint);
    return celsius <= Math.max(cutIn, cutOut) + NEAR_K && celsius >= Math.min(cutIn, cutOut) - NEAR_K;
  }
  return air.celsius === null || Math.abs(celsius - air.celsius) <= NEAR_K;
}
