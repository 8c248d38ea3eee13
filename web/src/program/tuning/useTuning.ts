import { ref, shallowRef } from 'vue';
import { variantsOf, type Tuned, type TuningRow, type TuningTask } from '@brine/core/judgement/tuning';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

/** Variants handed to a worker at a time: few enough that the progress moves, enough that the post is not felt. */
const BATCH = 4;

/** A tuning in parallel workers: its rows as they come, then what is advised. A new one, or `stop`, ends it. */
export function useTuning() {
  const rows = shallowRef<readonly TuningRow[]>([]);
  const total = ref(0);
  const tuned = shallowRef<Tuned | null>(null);
  const { running, problem, start: begin, stop } = latestRun();

  async function start(task: TuningTask): Promise<void> {
    const indices = variantsOf(task).map((_, i) => i);
    rows.value = [];
    tuned.value = null;
    total.value = indices.length;
    const batches = Array.from({ length: Math.ceil(indices.length / BATCH) }, (_, i) =>
      indices.slice(i * BATCH, (i + 1) * BATCH),
    );
    await begin(async ({ signal, isCurrent }) => {
      await Promise.all(
        batches.map(async (batch) => {
          const done = await core.run('variants', { task, indices: batch }, { signal });
          if (isCurrent()) rows.value = [...rows.value, ...done];
        }),
      );
      const ordered = [...rows.value].sort((a, b) => a.index - b.index);
      const advised = await core.run('advise', { task, rows: ordered }, { signal });
      if (isCurrent()) tuned.value = advised;
    });
  }

  return { rows, total, tuned, problem, running, start, stop };
}
