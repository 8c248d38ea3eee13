import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Scenario, Simulated } from '@brine/core/simulation';
import type { RunAnswer, RunRequest } from './simulation.worker.ts';

/** Settings change with every step of a flag: a run begins when they have rested a moment. */
const REST_MS = 120;

/**
 * A simulation in a worker that follows its scenario: a newer scenario ends the run under way, and the last result stays until the new one is there. `stop`
 * ends it by hand.
 */
export function useRun(scenario: () => Scenario | string | null, sampleEvery: number) {
  const result = shallowRef<Simulated | null>(null);
  const share = ref<number | null>(null);
  const problem = ref<string | null>(null);
  let worker: Worker | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let id = 0;

  function stop(): void {
    clearTimeout(timer);
    worker?.terminate();
    worker = null;
    share.value = null;
  }

  function start(next: Scenario): void {
    stop();
    id += 1;
    const mine = id;
    share.value = 0;
    worker = new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<RunAnswer>) => {
      if (data.id !== mine) return;
      if ('share' in data) share.value = data.share;
      else {
        result.value = data.result;
        stop();
      }
    };
    worker.onerror = () => {
      problem.value = 'The simulation could not be run in this browser.';
      stop();
    };
    worker.postMessage({ id: mine, scenario: next, sampleEvery } satisfies RunRequest);
  }

  watch(
    () => JSON.stringify(scenario()),
    () => {
      const next = scenario();
      clearTimeout(timer);
      problem.value = typeof next === 'string' ? next : null;
      if (typeof next === 'string' || next === null) {
        stop();
        result.value = null;
      } else {
        // Said at once: what is shown is no longer what is set.
        share.value = 0;
        timer = setTimeout(() => start(next), REST_MS);
      }
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  return { result, share, problem, stop };
}
