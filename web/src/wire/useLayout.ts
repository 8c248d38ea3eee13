import { ref, shallowRef, watch, type Ref } from 'vue';
import { layOut, type LaidOut } from './layOut.ts';
import type { Diagram } from './diagram.ts';

/** The layout of a diagram, made anew when its boxes or wires change; an older one that comes late is dropped. */
export function useLayout(diagram: Ref<Diagram>) {
  const laidOut = shallowRef<LaidOut | null>(null);
  const problem = ref<string | null>(null);
  let last = 0;
  watch(
    () => JSON.stringify(diagram.value),
    async () => {
      const mine = (last += 1);
      try {
        const done = await layOut(diagram.value);
        if (mine === last) laidOut.value = done;
        problem.value = null;
      } catch {
        if (mine === last) problem.value = 'The drawing could not be laid out; the wire list holds the same.';
      }
    },
    { immediate: true },
  );
  return { laidOut, problem };
}
