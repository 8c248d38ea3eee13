import { shallowRef, watch, type Ref } from 'vue';
import type { Circuit } from '@brine/core/wiring/circuit';
import type { DoubtFact, Narrowed } from '@brine/core/wiring/unsure';
import type { Reading } from '@brine/core/wiring/readings';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/** What the readings as found have left of the circuits that may be, and the next reading; null without a doubt. */
export function useNarrowed(
  circuit: Ref<Circuit | null>,
  doubts: Ref<readonly DoubtFact[]>,
  readings: Ref<readonly Reading[]>,
) {
  const narrowed = shallowRef<Narrowed | null>(null);
  const { problem, start, stop } = latestRun();
  watch(
    () => JSON.stringify([circuit.value, doubts.value, readings.value]),
    () => {
      const asked = circuit.value;
      if (!asked || doubts.value.length === 0) {
        stop();
        narrowed.value = null;
        return;
      }
      const asks = { circuit: asked, doubts: doubts.value, readings: readings.value };
      void start(async ({ signal, isCurrent }) => {
        const done = await core.run('narrow', asks, { signal });
        if (isCurrent()) narrowed.value = done;
      });
    },
    { immediate: true },
  );
  return { narrowed, problem };
}
