import { computed, shallowRef, watch, type Ref } from 'vue';
import type { Predicted } from '@brine/core/judgement/commissioning';
import type { VisitPlan } from '@brine/core/judgement/leaving';
import { siteQuestionsOf, visitOf, visitQuestion } from '@brine/core/record/job';
import { useDisplay } from '../../shared/display/displayStore.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { useNow } from '../../shared/job/useNow.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

const MINUTE = 60_000;

/** The time that somebody has at the unit, filled: worked out in a worker, and again with every minute, result, stopwatch and borrowed thing. */
export function useVisit(job: OpenJob, predicted: Ref<Predicted | null>) {
  const display = useDisplay();
  const now = useNow();
  const minute = computed(() => Math.floor(now.value / MINUTE) * MINUTE);
  const visit = computed(() => visitOf(job.state.value));
  const question = computed(() =>
    visit.value
      ? visitQuestion(
          job.state.value,
          job.program.value,
          job.proving.value,
          predicted.value,
          new Date(minute.value),
          display.unit,
        )
      : null,
  );
  /** The plan with the moment from which its times count. */
  const planned = shallowRef<{ readonly plan: VisitPlan; readonly at: number } | null>(null);
  const { running, problem, start, stop } = latestRun();
  watch(
    () => JSON.stringify(question.value),
    () => {
      const asked = question.value;
      if (!asked) {
        planned.value = null;
        return stop();
      }
      const at = minute.value;
      void start(async ({ signal, isCurrent }) => {
        const plan = await core.run('planVisit', asked, { signal });
        if (isCurrent()) planned.value = { plan, at };
      });
    },
    { immediate: true },
  );
  const begin = (minutes: number) =>
    job.write({ kind: 'visit', startedAt: new Date().toISOString(), minutes });
  const end = () => job.write({ kind: 'visit', startedAt: null, minutes: 0 });
  return {
    visit,
    planned,
    running,
    problem,
    asked: computed(() => siteQuestionsOf(job.state.value)),
    begin,
    end,
  };
}
