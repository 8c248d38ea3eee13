import { Solver } from 'odex';
import { BoxFlows, boxWork, restingBox, stepBox, type BoxDrive } from '@brine/core/machines/box';
import { beginsAt, boxOfScenario, type Scenario } from '@brine/core/machines/simulation';
import { asVector } from '../../core/testing/boxRates.ts';
import { driveSegments } from '../../core/testing/driveSegments.ts';
import { fastRates } from './fastRates.ts';

/** How far two courses of the same week lie apart, at the ends of its segments: air and coil together, K. */
type Course = readonly (readonly number[])[];

interface Segment {
  readonly from: number;
  readonly to: number;
  readonly drive: BoxDrive;
}

/** Strides of our steps, s: what is shown goes at 1, screening at 5. */
const strides = [1, 2, 5, 10] as const;
const tolerances = [1e-2, 3e-3, 1e-3, 5e-4, 3e-4, 2e-4, 1e-4, 3e-5, 1e-5, 1e-6] as const;

/** A week of our steps at a stride, and the same by odex at its loosest tolerance that is no further from the truth. */
export interface Beside {
  readonly stride: number;
  readonly ours: number;
  readonly odex: number;
  /** Root mean square of air and coil at the ends of segments, K, against odex at 1e-8. */
  readonly error: number;
  readonly tolerance: number;
}

/** Our steps beside odex, stride by stride, at equal error. */
export function againstSolver(week: Scenario): readonly Beside[] {
  const segments = driveSegments(week);
  const exact = solved(week, segments, 1e-8);
  const tried = tolerances.map((tolerance) => ({
    tolerance,
    error: apart(solved(week, segments, tolerance), exact),
  }));
  return strides.map((stride) => {
    const error = apart(stepped(week, segments, stride), exact);
    const { tolerance } = tried.find((t) => t.error <= error) ?? tried.at(-1)!;
    return {
      stride,
      error,
      tolerance,
      ours: least(() => stepped(week, segments, stride)),
      odex: least(() => solved(week, segments, tolerance), 3),
    };
  });
}

/** The stride at which ours are furthest ahead. */
export const bestOf = (list: readonly Beside[]): Beside =>
  list.reduce((best, one) => (one.odex / one.ours > best.odex / best.ours ? one : best));

function stepped(week: Scenario, segments: readonly Segment[], stride: number): Course {
  const p = boxOfScenario(week);
  const state = restingBox(beginsAt(week));
  const flows = new BoxFlows();
  const work = boxWork();
  return segments.map(({ from, to, drive }) => {
    for (let t = from; t < to; t += stride) stepBox(p, state, drive, Math.min(stride, to - t), flows, work);
    return [state.air, state.zones[0].temperature];
  });
}

function solved(week: Scenario, segments: readonly Segment[], tolerance: number): Course {
  const p = boxOfScenario(week);
  let y: readonly number[] = asVector(restingBox(beginsAt(week)));
  return segments.map(({ from, to, drive }) => {
    const solver = new Solver(y.length);
    solver.absoluteTolerance = tolerance;
    solver.relativeTolerance = tolerance;
    solver.maxSteps = 100_000;
    y = solver.solve(fastRates(p, drive), from, [...y], to).y;
    return [y[0]!, y[8]!];
  });
}

const apart = (one: Course, two: Course) =>
  Math.sqrt(
    one.reduce((sum, at, i) => sum + (at[0]! - two[i]![0]!) ** 2 + (at[1]! - two[i]![1]!) ** 2, 0) /
      one.length,
  );

function least(work: () => unknown, times = 5): number {
  let best = Infinity;
  for (let i = 0; i < times; i += 1) {
    const began = performance.now();
    work();
    best = Math.min(best, performance.now() - began);
  }
  return best;
}
