import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue';
import type { Finding } from '@brine/core/judgement/checks';
import { openWork, type OpenWork } from '@brine/core/record/open';
import { useJob, type OpenJob } from './useJob.ts';
import { useJobJudgement } from './useJudgement.ts';

const key: InjectionKey<ComputedRef<OpenWork>> = Symbol('open work');

const openWorkOf = (job: OpenJob, findings: () => readonly Finding[]) =>
  computed(() =>
    openWork({
      state: job.state.value,
      program: job.program.value,
      wiring: job.wiring.value,
      proving: job.proving.value,
      findings: findings(),
    }),
  );

/** What is open on a job, computed once for its head and all its stations. */
export function provideOpenWork(job: OpenJob, findings: () => readonly Finding[]): ComputedRef<OpenWork> {
  const work = openWorkOf(job, findings);
  provide(key, work);
  return work;
}

/** What is open on the job of this page. */
export function useOpenWork(): ComputedRef<OpenWork> {
  const provided = inject(key, null);
  if (provided) return provided;
  const judgement = useJobJudgement();
  return openWorkOf(useJob(), () => judgement.findings.value);
}
