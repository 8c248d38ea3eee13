import { computed, shallowRef } from 'vue';
import type { Register } from '@brine/core/controllers/definitions';
import { Heard, judgeTrial, placesToTry, type RegisterPlace } from '@brine/core/controllers/registers';
import type { Site } from '@brine/contract/routes';
import { request } from '../../shared/api/client.ts';
import { useLines } from '../../shared/bus/useLines.ts';
import type { WritesRegisters } from './writesRegisters.ts';

type Answer = RegisterPlace & { readonly is: number | string };

/** Tries the registers that were written down on a real device: what it answers is kept, so that what the words mean can be put right without asking again. */
export function useTrial(live: WritesRegisters) {
  const site = shallowRef<Site | null>(null);
  const id = computed(() => site.value?.id ?? null);
  const on = useLines(
    id,
    computed(() => `writing ${id.value ?? ''}`),
  );
  const answers = shallowRef<readonly Answer[]>([]);
  const judged = computed(() =>
    answers.value.length === 0 ? null : judgeTrial(live.written.value, new Heard(answers.value)),
  );

  function choose(chosen: Site | null): void {
    site.value = chosen;
  }

  async function ask(registers: readonly Register[]): Promise<void> {
    const places = placesToTry(registers);
    const came = await on.run<{ answers: readonly Answer[] }>(({ line, device }) =>
      request('startBusTry', { params: { id: line }, body: { device, places } }),
    );
    // What was heard later stands.
    if (came) answers.value = [...answers.value, ...came.answers];
  }

  return { site, choose, on, judged, ask };
}

export type Trial = ReturnType<typeof useTrial>;
