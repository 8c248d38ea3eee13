import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { Unit } from '@brine/contract/routes';
import type { BesideControl } from '@brine/core/controllers/beside';
import { messageOf, request } from '../../shared/api/client.ts';
import { readUnit, valuesOf, type BusFound } from '../../shared/bus/foundOverBus.ts';
import { useLines } from '../../shared/bus/useLines.ts';
import { inItNow } from '../../shared/inUnit/inItNow.ts';
import { jobsOfUnit, type NamedJob } from '../../shared/inUnit/jobsOfUnit.ts';
import { definitionByHash } from '../../shared/job/definitions.ts';
import { useSession } from '../../shared/session/sessionStore.ts';

/** One of two units side by side: what is known to stand in its control by its record, and what was read there now. */
export function useSide(id: Ref<string>) {
  const session = useSession();
  const unit = shallowRef<Unit | null>(null);
  const jobs = shallowRef<readonly NamedJob[] | null>(null);
  const problem = ref<string | null>(null);
  const on = useLines(
    computed(() => unit.value?.siteId ?? null),
    id,
  );
  /** The hash of the controller it is read by; empty: as the record has it. */
  const by = ref('');
  const read = shallowRef<{ readonly hash: string; readonly found: BusFound } | null>(null);

  watch(
    id,
    async (wanted) => {
      [unit.value, jobs.value, read.value, problem.value, by.value] = [null, null, null, null, ''];
      if (wanted === '') return;
      try {
        const found = (await request('unit', { params: { id: wanted } })).unit;
        const list = await jobsOfUnit(session.person?.id ?? '', wanted);
        if (id.value === wanted) [unit.value, jobs.value] = [found, list];
      } catch (error) {
        if (id.value === wanted) problem.value = messageOf(error);
      }
    },
    { immediate: true },
  );

  const known = computed(
    () => jobs.value && inItNow(jobs.value, unit.value?.name ?? '', session.company?.schools ?? {}),
  );
  const hash = computed(() => by.value || (known.value?.pin.hash ?? ''));
  const control = computed<BesideControl | null>(() => {
    if (read.value) {
      const definition = definitionByHash(read.value.hash);
      return definition && { definition, values: valuesOf(read.value.found) };
    }
    return (
      known.value && {
        definition: known.value.control,
        values: new Map(known.value.known.map(({ code, value }) => [code, value])),
      }
    );
  });

  async function look(): Promise<void> {
    const definition = hash.value;
    const found = await readUnit(on, id.value, definition);
    if (found) read.value = { hash: definition, found };
  }

  function choose(definition: string): void {
    by.value = definition;
  }

  return { unit, jobs, problem, on, hash, known, read, control, choose, look };
}

export type Side = ReturnType<typeof useSide>;
