import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue';
import { bySeverity } from '@brine/core/judgement/checks';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { Program } from '@brine/core/record/job';
import type { JudgedFinding } from '@brine/core/judgement/verdict';
import { useDisplay } from '../shared/display/displayStore.ts';
import { CalledOff, core } from '../workers/corePool.ts';

/** A day is simulated once the values have rested this long. */
const REST_MS = 400;

/**
 * Everything that is said against the values in force. What the rules say stands at once; a moment later a worker has judged a simulated day as well, and what mends
 * each. Until then the last day's findings stay.
 */
export function useJudgement(program: Ref<Program>, control: Ref<ControllerDefinition | null>) {
  const display = useDisplay();
  const judged = shallowRef<readonly JudgedFinding[]>([]);
  const running = ref(false);
  let off: AbortController | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function judgeNow(): Promise<void> {
    const { unit, inForce, found } = program.value;
    if (!unit) return;
    const mine = new AbortController();
    off = mine;
    try {
      const asks = {
        unit,
        values: inForce,
        controller: control.value,
        inEffect: true,
        display: display.unit,
        found: found?.values ?? null,
      };
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
    () =>
      JSON.stringify([
        program.value.unit,
        program.value.inForce,
        program.value.found?.values,
        control.value?.id,
        control.value?.version,
        display.unit,
      ]),
    () => {
      clearTimeout(timer);
      off?.abort();
      // One that ends in this very moment is no longer asked for.
      off = null;
      running.value = program.value.unit !== null;
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
    const rules = program.value.findings.map((f): JudgedFinding => ({ ...f, by: 'rule', remedy: null }));
    return [...rules, ...judged.value.filter((f) => f.by === 'run')].sort(bySeverity);
  });
  return { findings, running };
}
