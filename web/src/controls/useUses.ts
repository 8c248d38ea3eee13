import { ref, watch } from 'vue';
import { messageOf, request } from '../shared/api/client.ts';

/** Asks where a version of a controller is used, and what was proven of it there. */
export function useUses(hash: () => string | undefined) {
  const known = ref<Awaited<ReturnType<typeof ask>> | null>(null);
  const problem = ref<string | null>(null);
  const ask = (of: string) => request('controllerUses', { params: { hash: of } });
  watch(
    hash,
    async (of) => {
      known.value = null;
      problem.value = null;
      if (of === undefined) return;
      try {
        const answer = await ask(of);
        if (of === hash()) known.value = answer;
      } catch (error) {
        problem.value = messageOf(error);
      }
    },
    { immediate: true },
  );
  return { known, problem };
}

export type KnownUses = NonNullable<ReturnType<typeof useUses>['known']['value']>;
