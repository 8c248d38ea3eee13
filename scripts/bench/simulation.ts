import { Worker } from 'node:worker_threads';
import { Solver } from 'odex';
import { boxOf, insideOf, restingBox, useFactors } from '@brine/core/machines/box';
import { readScenario, simulate, type Scenario } from '@brine/core/machines/simulation';
import { asVector, boxRates } from '../../core/testing/boxRates.ts';
import { driveSegments } from '../../core/testing/driveSegments.ts';
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

  const segments = driveSegments(week);
  const solve = least(() => solveWith(week, segments), 1, 1);
  line(
    'the same week by odex at 1e-6, segment by segment',
    solve,
    work,
    `the full model (asked: at least 5): ${ms(solve)}`,
  );

  const day = read({ hours: 24 });
  const first = least(() => simulate(day, { stride: 10, sampleEvery: 120 }), 5, 1);
  line(
    'first curve after a moved flag: two days at a stride',
    first,
    150,
    `the 150 ms asked: ${ms(first)}, and 10 ms of rest before`,
  );

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

function solveWith(week: Scenario, segments: ReturnType<typeof driveSegments>): void {
  const p = boxOf(week.template, { goodsIn: useFactors[week.doorUse], ...week.choice });
  let y = asVector(restingBox(insideOf(week.template, week.choice)));
  for (const { from, to, drive } of segments) {
    const solver = new Solver(y.length);
    solver.absoluteTolerance = 1e-6;
    solver.relativeTolerance = 1e-6;
    solver.maxSteps = 100_000;
    y = solver.solve(boxRates(p, drive), from, y, to).y;
  }
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
