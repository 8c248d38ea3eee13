import {
  commissioningTests,
  groups,
  type CommissioningTest,
  type Predicted,
  type TestResult,
} from '../../judgement/commissioning/index.ts';
import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import { allStanding, standing, type Body, type JobState } from '../fold/index.ts';
import type { Program } from './program.ts';
import type { CalibrationRecord, EntryBody } from '../entries/index.ts';
import { borrowedOf, valuesInTest, type BorrowedThing } from './borrowed.ts';
import type { JobWiring } from './wiring.ts';

/** A test with what came of it. */
export interface RunTest {
  readonly test: CommissioningTest;
  readonly result: TestResult | null;
  readonly value: number | null;
  readonly word: string;
  readonly picture: string | null;
  /** When its timer was started, ISO 8601. */
  readonly startedAt: string | null;
  /** What was borrowed for it: it is judged by what the control did meanwhile. */
  readonly borrowed: readonly BorrowedThing[];
}

/** What is recorded of a job's proof and hand-over. */
export interface Proving {
  readonly tests: readonly RunTest[];
  /** Why there is no test list, or null. */
  readonly problem: string | null;
  readonly probes: readonly Body<'probe'>[];
  readonly calibrations: readonly (CalibrationRecord & { readonly id: string })[];
  readonly logs: readonly Body<'log'>[];
  readonly alarms: readonly Body<'alarmSeen'>[];
  readonly followUps: readonly (NonNullable<Body<'followUp'>['followUp']> & { readonly id: string })[];
  readonly pullDownStart: string | null;
  readonly pullDown: readonly { readonly at: string; readonly celsius: number }[];
}

/** The proof of a job from its stream: the test list of this unit, control and settings with the results that stand. */
export function provingOf(
  state: JobState,
  program: Program,
  wiring: JobWiring | null,
  control: ControllerDefinition | null,
  predicted: Predicted | null,
  display: TemperatureUnit,
): Proving {
  const listWith = (values: Program['inForce']) =>
    control && program.unit
      ? commissioningTests({
          unit: program.unit,
          control,
          values,
          loads: (wiring?.loads ?? []).map((l) => l.what),
          circuit: wiring?.plan?.circuit ?? null,
          predicted,
          display,
        })
      : 'Choose the new control and answer the survey; the tests follow from them.';
  const list = listWith(program.inForce);
  const borrowed = borrowedOf(state);
  /** The test as it is judged: by what the control does with what is borrowed for it. */
  const asRun = (test: CommissioningTest): CommissioningTest => {
    const values = valuesInTest(program.inForce, test.id, borrowed);
    const run = values === program.inForce ? null : listWith(values);
    return (run && typeof run !== 'string' ? run.find(({ id }) => id === test.id) : null) ?? test;
  };
  const results = new Map(allStanding(state, 'test').map((t) => [t.test, t]));
  const timers = new Map(allStanding(state, 'timer').map((t) => [t.test, t.startedAt]));
  const tests = typeof list === 'string' ? [] : list;
  return {
    problem: typeof list === 'string' ? list : null,
    tests: tests.map((test) => {
      const stands = results.get(test.id);
      return {
        test: asRun(test),
        borrowed: borrowed.filter((one) => one.tests.includes(test.id)),
        result: stands?.result ?? null,
        value: stands?.value ?? null,
        word: stands?.word ?? '',
        picture: stands?.picture ?? null,
        startedAt: timers.get(test.id) ?? null,
      };
    }),
    probes: allStanding(state, 'probe'),
    calibrations: allStanding(state, 'calibration').flatMap((c) =>
      c.record ? [{ ...c.record, id: c.id }] : [],
    ),
    logs: allStanding(state, 'log').filter((log) => log.layout !== null),
    alarms: allStanding(state, 'alarmSeen'),
    followUps: allStanding(state, 'followUp')
      .flatMap((f) => (f.followUp ? [{ ...f.followUp, id: f.id }] : []))
      .toSorted((a, b) => a.due.localeCompare(b.due)),
    pullDownStart: standing(state, 'pullDown', 'pullDown')?.startedAt ?? null,
    pullDown: allStanding(state, 'pullDownReading')
      .flatMap((r) => (r.celsius === null ? [] : [{ at: r.readAt, celsius: r.celsius }]))
      .toSorted((a, b) => a.at.localeCompare(b.at)),
  };
}

/** How much too warm the control's air probe reads by its last comparison, K; 0 where an offset was keyed after it, null where nobody compared. */
export function displayError({ calibrations }: Pick<Proving, 'calibrations'>): number | null {
  const last = calibrations.findLast(({ probe }) => probe === 'air' || probe === 'return');
  if (!last) return null;
  if (last.code !== null && last.before !== last.after) return 0;
  return last.points.reduce((sum, p) => sum + p.reading - p.reference, 0) / last.points.length;
}

/** How many tests are passed, failed, skipped and open. */
export function tally(proving: Proving) {
  const of = (result: TestResult | null) => proving.tests.filter((t) => t.result === result).length;
  return {
    passed: of('passed'),
    failed: of('failed'),
    skipped: of('skipped'),
    open: of(null),
    total: proving.tests.length,
  };
}

/** Tests in their groups, in the order of the work. */
export function byGroup(tests: readonly RunTest[]) {
  return groups
    .map((group) => ({ group, tests: tests.filter((t) => t.test.group === group) }))
    .filter((g) => g.tests.length > 0);
}

/** The follow-up that a skipped test becomes; its id follows from the test, so that it is there once. */
export function followUpOfSkipped(test: CommissioningTest, why: string, due: string): EntryBody {
  return {
    kind: 'followUp',
    id: `test:${test.id}`,
    followUp: { due, what: `${test.title}: skipped (${why}). ${test.expect}`.slice(0, 600), done: false },
  };
}
