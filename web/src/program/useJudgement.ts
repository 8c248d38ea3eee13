import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue';
import type { Remedy, UnitDescription } from '@brine/core/advice';
import type { Program } from '@brine/core/jobs';
import type { SettingValues } from '@brine/core/settings';
import type { JudgedFinding } from '@brine/core/tuning';
import { useDisplay } from '../shared/display/displayStore.ts';
import { findingKey } from '../workers/coreJobs.ts';
import { CalledOff, core } from '../workers/corePool.ts';

/** A day is simulated once the values have rested this long. */
const REST_MS = 400;

/** Everything that is said against the values in force: the rules at once, the simulated day a moment later; each with what mends it. */
export function useJudgement(program: Ref<Program>) {
  const display = useDisplay();
  const simulated = shallowRef<readonly JudgedFinding[]>([]);
  const running = ref(false);
  let off: AbortController | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  /** Of the rules' findings, by place; they come with the simulated day, for trying them takes its time. */
  const remedies = shallowRef<Readonly<Record<string, Remedy | null>>>({});
  const rules = computed<readonly JudgedFinding[]>(() =>
    program.value.findings.map((finding) => ({
      ...finding,
      remedy: remedies.value[findingKey(finding)] ?? null,
    })),
  );

  async function look(unit: UnitDescription, values: SettingValues): Promise<void> {
    const mine = new AbortController();
    off = mine;
    try {
      const found = await core.run(
        'findings',
        { unit, values, rules: program.value.findings, display: display.unit },
        { signal: mine.signal },
      );
      simulated.value = found.simulated;
      remedies.value = found.remedies;
    } catch (error) {
      if (!(error instanceof CalledOff)) simulated.value = [];
    }
    if (off === mine) running.value = false;
  }

  watch(
    () => JSON.stringify([program.value.unit, program.value.inForce, display.unit]),
    () => {
      clearTimeout(timer);
      off?.abort();
      const { unit } = program.value;
      running.value = unit !== null;
      if (unit) timer = setTimeout(() => void look(unit, program.value.inForce), REST_MS);
      else simulated.value = [];
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    clearTimeout(timer);
    off?.abort();
  });

  const order = { error: 0, warning: 1, note: 2 } as const;
  const findings = computed(() =>
    [...rules.value, ...simulated.value].sort((a, b) => order[a.severity] - order[b.severity]),
  );
  return { findings, running };
}
