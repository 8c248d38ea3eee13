import { Worker } from 'node:worker_threads';
import { readScenario, simulate, type Scenario } from '@brine/core/machines/simulation';
import { plan, valuesOf } from '@brine/core/judgement/plan';
import { judgement } from '@brine/core/judgement/verdict';
import { coldKinds, unitsOf } from '../../core/testing/everyUnit.ts';
import { againstSolver, bestOf } from './againstSolver.ts';
import { handInlined } from './handInlined.ts';

interface Tools {
  least(work: () => unknown, times?: number, inner?: number): number;
  line(name: string, work: number, against: number, what: string): void;
}
const ms = (value: number) => `${value.toFixed(0)} ms on this machine`;

/** What a simulated week costs: against a loop written by hand, against a solver; a first curve; a sweep; a month's memory. */
export async function benchSimulation(scenarioText: string, { least, line }: Tools): Promise<void> {
  const file = JSON.parse(scenarioText) as Record<string, unknown>;
  const read = (change: object) => readScenario({ ...file, ...change }) as Scenario;
  const week = read({ warmUpHours: 0, hours: 168 });
  sameCounts(week);
  const [work, hand] = alternately(
    () => simulate(week),
    () => handInlined(week),
  );
  line(
    'a week of the full model at 1 s, with events',
    work,
    hand,
    `the hand-inlined loop (asked: at most 2): ${ms(work)}`,
  );

  for (const { stride, ours, odex, error, tolerance } of againstSolver(week))
    line(
      `the same week by odex at equal error, steps of ${stride} s`,
      odex,
      ours,
      `our steps (asked: at least 5 at some stride): ${ms(odex)}, ${error.toFixed(3)} K from the truth, odex at ${tolerance}`,
    );

  const day = read({ hours: 24 });
  const first = least(() => simulate(day, { stride: 1, sampleEvery: 30 }), 5, 1);
  line(
    'the curve after a moved flag: two days, every second',
    first,
    100,
    `the 100 ms asked: ${ms(first)}, and 10 ms of rest before`,
  );
  const { average, quick } = judging();
  line(
    'a new plan judged, with its remedies',
    average,
    400,
    `the 400 ms asked: ${ms(average)} on average over all kinds`,
  );
  line('its first verdict, without', quick, 300, `the 300 ms asked: ${ms(quick)}`);

  const sweepMs = await onTwoCores(200, file);
  line('200 variants over 3 days on two cores', sweepMs, 8000, `the 8 s asked: ${ms(sweepMs)}`);
  const { peak, settled } = await month(file);
  line(
    'heap of a 30-day run with its series',
    peak - settled,
    50,
    `the 50 MB asked: ${(peak - settled).toFixed(1)} MB`,
  );
}

/** Both must count the same before they are timed. */
function sameCounts(week: Scenario): void {
  const { figures } = simulate(week)!;
  const hand = handInlined(week);
  const starts = Math.round(figures.startsPerHour * figures.hours);
  const joules = (figures.kWhPerDay * 3.6e6 * figures.hours) / 24;
  if (
    hand.starts !== starts ||
    Math.abs(hand.joules / joules - 1) > 1e-9 ||
    Math.abs(hand.frost - figures.iceAtEnd) > 1e-9
  )
    throw new Error('the hand-inlined loop and the model do not count the same');
}

/** Least times of two works done in turn, so that a busy moment of the machine meets both. */
function alternately(one: () => unknown, two: () => unknown, times = 9): [number, number] {
  const best: [number, number] = [Infinity, Infinity];
  for (let i = 0; i < times; i += 1)
    for (const [k, work] of [one, two].entries()) {
      const began = performance.now();
      work();
      best[k] = Math.min(best[k]!, performance.now() - began);
    }
  return best;
}

/** Judging fresh plans of every kind on one core: on average with remedies, and the first verdict without. */
export function judging(): { readonly average: number; readonly quick: number } {
  const units = coldKinds.flatMap((kind) => unitsOf(kind).filter((_, i) => i % 9 === 0));
  const timed = (remedies: boolean) => {
    const began = performance.now();
    for (const unit of units) judgement({ unit, values: valuesOf(plan(unit)), remedies });
    return (performance.now() - began) / units.length;
  };
  timed(false);
  return { average: timed(true), quick: timed(false) };
}

/** What an issue asked of simulating and judging; each is its limit where `measured` is at most `bound`. */
export function simulationBounds(scenarioText: string): readonly {
  readonly name: string;
  readonly measured: number;
  readonly bound: number;
  readonly unit: string;
}[] {
  const week = readScenario({
    ...(JSON.parse(scenarioText) as object),
    warmUpHours: 0,
    hours: 168,
  }) as Scenario;
  const day = readScenario({ ...(JSON.parse(scenarioText) as object), hours: 24 }) as Scenario;
  sameCounts(week);
  const [work, hand] = alternately(
    () => simulate(week),
    () => handInlined(week),
  );
  const { stride, ours, odex } = bestOf(againstSolver(week));
  const { average, quick } = judging();
  const [curve] = alternately(
    () => simulate(day, { sampleEvery: 30 }),
    () => undefined,
    5,
  );
  return [
    {
      name: 'the full model against a hand-inlined loop',
      measured: (100 * work) / hand,
      bound: 200,
      unit: '%',
    },
    {
      name: `our steps of ${stride} s against odex at equal error`,
      measured: (100 * ours) / odex,
      bound: 20,
      unit: '%',
    },
    { name: 'a new plan judged, with its remedies', measured: average, bound: 400, unit: 'ms' },
    { name: 'the first verdict', measured: quick, bound: 300, unit: 'ms' },
    { name: 'the curve after a moved flag', measured: curve, bound: 100, unit: 'ms' },
  ];
}

/** Runs a piece of this bench in a thread of its own, TypeScript and all. */
function thread<T>(data: object, limits?: { readonly maxOldGenerationSizeMb: number }): Promise<T> {
  return new Promise((done, failed) => {
    // A thread does not inherit the loader that reads TypeScript: it registers one first.
    const file = new URL('./simulation.thread.ts', import.meta.url).href;
    const boot = `import('tsx/esm/api').then(({ register }) => { register(); return import('${file}'); })`;
    const worker = new Worker(boot, {
      eval: true,
      workerData: data,
      ...(limits && { resourceLimits: limits }),
    });
    worker.once('message', done);
    worker.once('error', failed);
  });
}

/** Wall time of a sweep halved over two threads, their start left out: in the page they are warm. */
async function onTwoCores(variants: number, file: object): Promise<number> {
  const halves = await Promise.all(
    [0, 1].map((half) => thread<number>({ kind: 'sweep', file, variants: variants / 2, half })),
  );
  return Math.max(...halves);
}

const month = (file: object) =>
  thread<{ peak: number; settled: number }>({ kind: 'month', file }, { maxOldGenerationSizeMb: 90 });
