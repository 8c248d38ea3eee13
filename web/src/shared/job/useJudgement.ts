import { computed, inject, onScopeDispose, provide, ref, shallowRef, watch, type InjectionKey } from 'vue';
import { bySeverity, type Finding } from '@brine/core/judgement/checks';
import { judgementInput } from '@brine/core/record/job';
import type { JudgedFinding, JudgementInput } from '@brine/core/judgement/verdict';
import { CalledOff, core } from '../../workers/corePool.ts';
import { useDisplay } from '../display/displayStore.ts';
import { useJob, type OpenJob } from './useJob.ts';

/** A day is simulated once the values have rested this long. */
const REST_MS = 400;

type Judged = ReturnType<typeof useJudgement>;
const ofThePage: InjectionKey<Judged> = Symbol('judgement');

/** Everything that is said against the values in force of the job on this page: one run for all its stations. What the rules say stands at once. */
export const useJobJudgement = (): Judged => inject(ofThePage, null) ?? judgementOf(useJob());

/**
 * Judges a job once, for whatever stands below, and for the list of what is open on it.
 *
 * @param begins whether the page stands: what judges is loaded after it
 */
export function provideJudgement(job: OpenJob, begins: () => boolean): void {
  const judged = judgementOf(job, begins);
  watch(judged.findings, (findings) => (job.judged.value = findings), { immediate: true });
  provide(ofThePage, judged);
}

function judgementOf(job: OpenJob, begins: () => boolean = () => true): Judged {
  const display = useDisplay();
  return useJudgement(
    () => (begins() ? judgementInput(job.program.value, job.replacement.value, display.unit) : null),
    () => job.program.value.findings,
  );
}

/**
 * The one judgement of what is asked, in a worker: first what is said, a moment later what mends each. Until then the findings of the last day stand, beside what the rules
 * say meanwhile.
 */
export function useJudgement(asked: () => JudgementInput | null, rules: () => readonly Finding[] = () => []) {
  const judged = shallowRef<readonly JudgedFinding[]>([]);
  const running = ref(false);
  let off: AbortController | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function judgeNow(): Promise<void> {
    const asks = asked();
    if (!asks) return;
    const mine = new AbortController();
    off = mine;
    try {
      const signal = mine.signal;
      // What the day says stands after one run; what mends it takes some more.
      const first = await core.run('judge', { ...asks, remedies: false }, { signal });
      if (off === mine) judged.value = first.findings;
      if (first.findings.length > 0) {
        const mended = await core.run('judge', asks, { signal });
        if (off === mine) judged.value = mended.findings;
      }
    } catch (error) {
      if (off === mine && !(error instanceof CalledOff)) judged.value = [];
    }
    if (off === mine) running.value = false;
  }

  watch(
    () => {
      const asks = asked();
      return JSON.stringify(asks && { ...asks, controller: [asks.controller?.id, asks.controller?.version] });
    },
    () => {
      clearTimeout(timer);
      off?.abort();
      // One that ends in this very moment is no longer asked for.
      off = null;
      running.value = asked() !== null;
      timer = setTimeout(() => void judgeNow(), REST_MS);
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    clearTimeout(timer);
    off?.abort();
  });

  const findings = computed<readonly JudgedFinding[]>(() => {
    if (!running.value && judged.value.length > 0) return judged.value;
    const ruled = rules().map((f): JudgedFinding => ({ ...f, by: 'rule', remedy: null }));
    return [...ruled, ...judged.value.filter((f) => f.by === 'run')].sort(bySeverity);
  });
  return { findings, running };
}
