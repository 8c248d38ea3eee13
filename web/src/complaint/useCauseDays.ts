import { ref, shallowRef, watch } from 'vue';
import type { CauseDay } from '@brine/core/complaints';
import type { OpenJob } from '../shared/job/useJob.ts';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/** A day of every cause on this unit, simulated in a worker once for its settings as found (planned where nothing was found). */
export function useCauseDays(job: OpenJob) {
  const days = shallowRef<readonly CauseDay[] | null>(null);
  const share = ref<number | null>(null);
  const { problem, start, stop } = latestRun();
  watch(
    () => JSON.stringify([job.program.value.unit, job.program.value.values]),
    () => {
      const { unit, values } = job.program.value;
      if (!unit) return;
      void start(async ({ signal, isCurrent }) => {
        share.value = 0;
        const result = await core.run(
          'causes',
          { unit, values },
          { signal, share: (done) => isCurrent() && (share.value = done) },
        );
        if (!isCurrent()) return;
        share.value = null;
        if (typeof result === 'string') throw new Error(result);
        days.value = result;
      }).finally(() => (share.value = null));
    },
    { immediate: true },
  );
  return { days, share, problem, stop };
}
