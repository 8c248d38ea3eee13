import { shallowRef, watch, type Ref } from 'vue';
import type { Circuit } from '@brine/core/wiring/circuit';
import type { Proof } from '@brine/core/wiring/meter';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/**
 * The readings that prove a circuit, worked out in a worker whenever the circuit changes. Until they are there those of the circuit before
 * stand on, so that nobody's field goes away under the pen.
 */
export function useProof(circuit: Ref<Circuit | null>) {
  const proof = shallowRef<Proof | null>(null);
  const { running, problem, start, stop } = latestRun();
  watch(
    () => JSON.stringify(circuit.value),
    () => {
      const asked = circuit.value;
      if (!asked) {
        proof.value = null;
        return stop();
      }
      void start(async ({ signal, isCurrent }) => {
        const done = await core.run('prove', { circuit: asked }, { signal });
        if (isCurrent()) proof.value = done;
      });
    },
    { immediate: true },
  );
  return { proof, running, problem };
}
