import { computed } from 'vue';
import { learnedBoxOf, staleWords } from '@brine/core/record/job';
import type { OpenJob } from '../job/useJob.ts';

/** Which box the runs of a job are made with: its own where one was learned and is used. */
export function useLearnedBox(job: OpenJob) {
  const learned = computed(() => learnedBoxOf(job.state.value));
  const used = computed(() => (learned.value?.used ? learned.value : null));
  const stale = computed(
    () => learned.value && staleWords(learned.value, job.program.value.unit, new Date()),
  );
  const choose = (use: 'own' | 'usual', why = '') => job.write({ kind: 'boxChoice', use, why });
  return { learned, used, stale, choose };
}
