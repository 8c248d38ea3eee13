import { expect, jest, test } from '@jest/globals';
import { effectScope, nextTick, ref } from 'vue';
import type { Scenario, Simulated } from '@brine/core/machines/simulation';
import { useRun } from './useRun.ts';

/** A pool whose runs end when told to; a run says which scenario it was of. */
function bench() {
  const asked: { of: number; stride: number; end: () => void }[] = [];
  const pool = {
    run: ((_: string, { scenario, stride }: { scenario: Scenario; stride: number }) =>
      new Promise((done) => {
        const of = scenario.seconds;
        asked.push({ of, stride, end: () => done({ of, stride } as unknown as Simulated) });
      })) as never,
  };
  return { asked, pool };
}
const scenarioOf = (seconds: number) => ({ seconds }) as Scenario;
/** Lets timers of so many ms and everything that waits on them run. */
const pass = async (ms: number) => {
  await nextTick();
  await jest.advanceTimersByTimeAsync(ms);
};

test('one run, every second; nothing is under way afterwards', async () => {
  jest.useFakeTimers();
  const { asked, pool } = bench();
  const scope = effectScope();
  const run = scope.run(() =>
    useRun(
      () => scenarioOf(100),
      () => 30,
      pool,
    ),
  )!;
  expect(run.share.value).toBe(0);
  await pass(50);
  asked[0]!.end();
  await pass(0);
  expect([asked.map((a) => a.stride), run.result.value]).toEqual([[1], { of: 100, stride: 1 }]);
  expect(run.share.value).toBeNull();
  scope.stop();
  jest.useRealTimers();
});

test('a change in the very moment in which a run ends is run too, and the ended one is not shown', async () => {
  jest.useFakeTimers();
  const { asked, pool } = bench();
  const seconds = ref(100);
  const scope = effectScope();
  const run = scope.run(() =>
    useRun(
      () => scenarioOf(seconds.value),
      () => 30,
      pool,
    ),
  )!;
  await pass(50);
  // The run ends while the change is noticed but not yet begun.
  seconds.value = 200;
  await nextTick();
  asked[0]!.end();
  await pass(0);
  expect([run.result.value, run.share.value]).toEqual([null, 0]);
  await pass(50);
  expect(asked.at(-1)).toMatchObject({ of: 200 });
  asked[1]!.end();
  await pass(0);
  expect([run.result.value, run.share.value]).toEqual([{ of: 200, stride: 1 }, null]);
  scope.stop();
  jest.useRealTimers();
});

test('stopped by hand: what is due is not run, and a sentence instead of a scenario is a problem', async () => {
  jest.useFakeTimers();
  const { asked, pool } = bench();
  const next = ref<Scenario | string>(scenarioOf(100));
  const scope = effectScope();
  const run = scope.run(() =>
    useRun(
      () => next.value,
      () => 30,
      pool,
    ),
  )!;
  run.stop();
  await pass(100);
  expect([asked.length, run.share.value]).toEqual([0, null]);
  next.value = 'expected a set point';
  await pass(100);
  expect([run.problem.value, run.result.value]).toEqual(['expected a set point', null]);
  scope.stop();
  jest.useRealTimers();
});
