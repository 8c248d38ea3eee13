import { ref, shallowRef, watch } from 'vue';
import type { CauseDay } from '@brine/core/judgement/complaints';
import { condenserRun } from '../shared/job/condenserRun.ts';
import type { OpenJob } from '../shared/job/useJob.ts';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/** A day of every cause on this unit, simulated in a worker for the settings that are in effect. */
export function useCauseDays(job: OpenJob) {
  const days = shallowRef<readonly CauseDay[] | null>(null);
  const share = ref<number | null>(null);
  const { problem, start, stop } = latestRun();
  watch(
    () =>
      JSON.stringify([
        job.program.value.unit,
        job.program.value.inForce,
        job.program.value.unit?.application === 'condenserFans' ? condenserRun(job) : null,
      ]),
    () => {
      const { unit, inForce: values } = job.program.value;
      if (!unit) return;
      void start(async ({ signal, isCurrent }) => {
        share.value = 0;
        const watched = { signal, share: (done: number) => isCurrent() && (share.value = done) };
        const run = unit.application === 'condenserFans' ? condenserRun(job) : null;
        const result = run
          ? await core.run('fanCauses', { run }, watched)
          : await core.run('causes', { unit, values }, watched);
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
