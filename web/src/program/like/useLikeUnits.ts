import { computed, ref, shallowRef, watch } from 'vue';
import type { Unit } from '@brine/contract/routes';
import { copyOf } from '@brine/core/controllers/beside';
import { messageOf, request } from '../../shared/api/client.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { usePlanned } from '../bus/usePlanned.ts';

/** A job's program as other units of the site with the same controller get it. */
export function useLikeUnits() {
  const job = useJob();
  const planned = usePlanned();
  const units = shallowRef<readonly Unit[] | null>(null);
  const problem = ref<string | null>(null);
  /** Codes that belong to a unit, and that somebody wants copied all the same. */
  const also = ref<readonly string[]>([]);
  const copy = computed(() => copyOf(job.replacement.value!, planned.wanted.value, new Set(also.value)));
  const site = computed(() => job.job.value?.unit.siteId ?? null);

  watch(
    site,
    async (id) => {
      if (id === null) return;
      try {
        const found = await request('units', { query: { site: id } });
        units.value = found.units.filter((unit) => unit.id !== job.job.value!.unit.id);
      } catch (error) {
        problem.value = messageOf(error);
      }
    },
    { immediate: true },
  );

  /** Not decided, and nothing that stays as it is anyway. */
  const undecided = computed(() =>
    planned.undecided.value.filter((code) => !copy.value.left.some((one) => one.code === code)),
  );

  return { units, problem, site, also, copy, told: planned.told, undecided };
}

export type LikeUnits = ReturnType<typeof useLikeUnits>;
