import { ref, shallowRef, watch, type Ref } from 'vue';
import type { Circuit } from '@brine/core/wiring/circuit';
import type { Diagnosis } from '@brine/core/wiring/faults';
import type { Reading } from '@brine/core/wiring/readings';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/**
 * The fault finder in a worker: begins when a reading is off, again with each reading, and can be stopped. The usual faults come first and
 * stand at once; the rarer ones and pairs follow.
 */
export function useDiagnosis(
  circuit: Ref<Circuit | null>,
  readings: Ref<readonly Reading[]>,
  wanted: Ref<boolean>,
) {
  const diagnosis = shallowRef<Diagnosis | null>(null);
  /** How far the search is, 0 to 1. */
  const share = ref(0);
  /** True once rarer faults and pairs were tried too. */
  const whole = ref(false);
  const { running, problem, start, stop } = latestRun();

  function run(): void {
    whole.value = false;
    share.value = 0;
    if (!circuit.value || !wanted.value) {
      stop();
      diagnosis.value = null;
      return;
    }
    const asks = { circuit: circuit.value, readings: readings.value };
    void start(async ({ signal, isCurrent }) => {
      const usual = await core.run('diagnose', { ...asks, kinds: 'first' }, { signal });
      if (isCurrent()) diagnosis.value = usual;
      const told = (s: number) => isCurrent() && (share.value = s);
      const all = await core.run('diagnose', { ...asks, kinds: 'all' }, { signal, share: told });
      if (!isCurrent()) return;
      diagnosis.value = all;
      whole.value = true;
    });
  }
  watch(() => JSON.stringify([circuit.value, readings.value, wanted.value]), run, { immediate: true });
  return { diagnosis, running, share, whole, problem, stop, run };
}
