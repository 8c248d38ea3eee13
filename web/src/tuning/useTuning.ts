import { onScopeDispose, ref, shallowRef } from 'vue';
import { variantsOf, type Tuned, type TuningRow, type TuningTask } from '@brine/core/tuning';
import { CalledOff, core } from '../workers/corePool.ts';

/** Variants handed to a worker at a time: few enough that the progress moves, enough that the post is not felt. */
const BATCH = 4;

/** A tuning in parallel workers: its rows as they come, then what is advised. A new one, or `stop`, ends it. */
export function useTuning() {
  const rows = shallowRef<readonly TuningRow[]>([]);
  const total = ref(0);
  const tuned = shallowRef<Tuned | null>(null);
  const problem = ref<string | null>(null);
  const running = ref(false);
  let off: AbortController | null = null;

  function stop(): void {
    off?.abort();
    off = null;
    running.value = false;
  }

  async function start(task: TuningTask): Promise<void> {
    stop();
    const mine = new AbortController();
    off = mine;
    const indices = variantsOf(task).map((_, i) => i);
    rows.value = [];
    tuned.value = null;
    problem.value = null;
    total.value = indices.length;
    running.value = true;
    const batches = Array.from({ length: Math.ceil(indices.length / BATCH) }, (_, i) =>
      indices.slice(i * BATCH, (i + 1) * BATCH),
    );
    try {
      await Promise.all(
        batches.map(async (batch) => {
          const done = await core.run('variants', { task, indices: batch }, { signal: mine.signal });
          rows.value = [...rows.value, ...done];
        }),
      );
      const ordered = [...rows.value].sort((a, b) => a.index - b.index);
      tuned.value = await core.run('advise', { task, rows: ordered }, { signal: mine.signal });
    } catch (error) {
      if (!(error instanceof CalledOff)) problem.value = (error as Error).message;
    }
    if (off === mine) stop();
  }

  onScopeDispose(stop);
  return { rows, total, tuned, problem, running, start, stop };
}
