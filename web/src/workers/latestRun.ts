import { onScopeDispose, ref } from 'vue';
import { CalledOff } from './corePool.ts';

/** What a run is given: a signal that calls its worker off, and whether it is still the newest. */
export interface LatestRun {
  readonly signal: AbortSignal;
  readonly isCurrent: () => boolean;
}

/**
 * Runs in workers of which only the newest counts: each new one calls the one before off, and so does leaving the page. What goes wrong in
 * the newest is kept as a sentence.
 */
export function latestRun() {
  const running = ref(false);
  const problem = ref<string | null>(null);
  let off: AbortController | null = null;

  function stop(): void {
    off?.abort();
    off = null;
    running.value = false;
  }

  async function start(work: (run: LatestRun) => Promise<void>): Promise<void> {
    stop();
    const mine = new AbortController();
    off = mine;
    running.value = true;
    problem.value = null;
    const isCurrent = () => off === mine;
    try {
      await work({ signal: mine.signal, isCurrent });
    } catch (error) {
      if (isCurrent() && !(error instanceof CalledOff)) problem.value = (error as Error).message;
    }
    if (isCurrent()) stop();
  }

  onScopeDispose(stop);
  return { running, problem, start, stop };
}
