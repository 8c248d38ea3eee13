import { shallowRef, watch } from 'vue';
import type { Predicted } from '@brine/core/judgement/commissioning';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import type { OpenJob } from './useJob.ts';

/** The pull-down and an ordinary day of this unit with these settings, simulated in a worker; the last one stays until the next is there. */
export function usePredicted(job: OpenJob) {
  const predicted = shallowRef<Predicted | null>(null);
  const { running, problem, start } = latestRun();
  watch(
    () => JSON.stringify([job.program.value.unit, job.program.value.inForce]),
    () => {
      const { unit, inForce } = job.program.value;
      if (!unit) return;
      void start(async ({ signal, isCurrent }) => {
        const result = await core.run('predict', { unit, values: inForce, startsAt: null }, { signal });
        if (!isCurrent()) return;
        if (typeof result === 'string') throw new Error(result);
        predicted.value = result;
      });
    },
    { immediate: true },
  );
  return { predicted, running, problem };
}
