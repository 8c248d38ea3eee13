import { expect, test } from '@jest/globals';
import { effectScope } from 'vue';
import { CalledOff } from './corePool.ts';
import { latestRun } from './latestRun.ts';

/** A run that ends when it is told to. */
function hand() {
  let end!: (error?: Error) => void;
  const ended = new Promise<void>((done, failed) => (end = (error) => (error ? failed(error) : done())));
  return { end, ended };
}
const inScope = () => {
  const scope = effectScope();
  return { scope, runs: scope.run(() => latestRun())! };
};

test('a new run calls the one before off, and only the newest says that it is done', async () => {
  const { runs } = inScope();
  const [first, second] = [hand(), hand()];
  const told: string[] = [];
  let signal!: AbortSignal;
  const one = runs.start(async (run) => {
    signal = run.signal;
    await first.ended;
    told.push(`first ${run.isCurrent()}`);
  });
  const two = runs.start(async (run) => {
    await second.ended;
    told.push(`second ${run.isCurrent()}`);
  });
  expect([signal.aborted, runs.running.value]).toEqual([true, true]);
  first.end();
  await one;
  expect(runs.running.value).toBe(true);
  second.end();
  await two;
  expect([told, runs.running.value]).toEqual([['first false', 'second true'], false]);
});

test('what goes wrong in the newest is a sentence; one that was called off says nothing', async () => {
  const { runs } = inScope();
  await runs.start(() => Promise.reject(new Error('no supply')));
  expect([runs.problem.value, runs.running.value]).toEqual(['no supply', false]);
  await runs.start(() => Promise.reject(new CalledOff()));
  expect(runs.problem.value).toBeNull();
});

test('leaving the page calls the run off', async () => {
  const { scope, runs } = inScope();
  let signal!: AbortSignal;
  const { end, ended } = hand();
  const run = runs.start(async (given) => {
    signal = given.signal;
    await ended;
  });
  scope.stop();
  expect([signal.aborted, runs.running.value]).toEqual([true, false]);
  end();
  await run;
});
