import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Scenario, Simulated } from '@brine/core/machines/simulation';
import { CalledOff, core } from '../../workers/corePool.ts';

/** Settings change with every step of a flag: a run begins when they have rested a moment. */
const REST_MS = 10;
/** Shorter runs are left to end in their worker when a newer one is asked for: sooner done than a worker started. */
const SHORT_SECONDS = 4 * 86400;

/**
 * A simulation in a worker that follows its scenario, every second of it, so that there is one set of figures and no other. A newer scenario ends the run under way, and the
 * last result stays until the new one is there. `stop` ends it by hand.
 */
export function useRun(
  scenario: () => Scenario | string | null,
  sampleEvery: () => number,
  pool: Pick<typeof core, 'run'> = core,
) {
  const result = shallowRef<Simulated | null>(null);
  const share = ref<number | null>(null);
  const problem = ref<string | null>(null);
  let off: AbortController | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  /** Calls off the run under way and the one that is due. */
  function stop(): void {
    clearTimeout(timer);
    off?.abort();
    off = null;
    share.value = null;
  }

  async function start(next: Scenario, mine: AbortController): Promise<void> {
    try {
      const asks = { scenario: next, sampleEvery: sampleEvery(), stride: 1 };
      const simulated = await pool.run('run', asks, {
        signal: mine.signal,
        letFinish: next.seconds <= SHORT_SECONDS,
        share: (done) => off === mine && (share.value = done),
      });
      // It may have ended in the moment in which it was called off.
      if (off === mine) result.value = simulated;
    } catch (error) {
      if (off === mine && !(error instanceof CalledOff)) problem.value = (error as Error).message;
    }
    if (off !== mine) return;
    off = null;
    share.value = null;
  }

  watch(
    () => JSON.stringify([scenario(), sampleEvery()]),
    () => {
      const next = scenario();
      stop();
      problem.value = typeof next === 'string' ? next : null;
      if (typeof next === 'string' || next === null) {
        result.value = null;
        return;
      }
      // Said at once: what is shown is no longer what is set.
      share.value = 0;
      const mine = new AbortController();
      off = mine;
      timer = setTimeout(() => void start(next, mine), REST_MS);
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  return { result, share, problem, stop };
}
