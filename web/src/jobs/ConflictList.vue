<script setup lang="ts">
import { computed } from 'vue';
import { parameterOf, type ControllerDefinition } from '@brine/core/controllers/definitions';
import type { Conflict, Head } from '@brine/core/record/fold';
import { aboutEntry, saidByEntry } from '@brine/core/record/kinds';
import { localTime } from '../shared/display/localTime.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';

const job = useJob();
const session = useSession();
const nameIn = (definition: ControllerDefinition | null) => (code: string) =>
  definition ? parameterOf(definition, code)?.name : undefined;
const names = computed(() => ({
  old: nameIn(job.old.value),
  replacement: nameIn(job.replacement.value),
}));
const conflicts = computed(() =>
  job.conflicts.value.map((conflict) => ({
    register: conflict.register,
    what: aboutEntry(conflict.heads[0]!.entry.body, names.value),
    heads: conflict.heads.map((head) => ({
      head,
      value: saidByEntry(head.entry.body),
      by: job.nameOf(head.entry.author),
      at: localTime(head.entry.deviceTime),
    })),
    conflict,
  })),
);
/** The chosen value is written anew: this page has seen both, so it settles the matter. */
const settle = (_conflict: Conflict, head: Head) => job.write(head.entry.body);
</script>

<template>
  <section
    v-if="conflicts.length > 0"
    class="sticky top-0 z-20 max-h-[40vh] shrink-0 overflow-auto border-b border-alarm bg-alarm-wash px-5 py-3"
    data-test="conflicts"
    aria-label="Conflicts"
  >
    <h2 class="text-[16px]">
      {{ conflicts.length === 1 ? 'One value was changed' : `${conflicts.length} values were changed` }} in
      two places at once. Which one holds?
    </h2>
    <ul class="mt-2 flex flex-col gap-2">
      <li v-for="c in conflicts" :key="c.register" class="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <span class="min-w-48 font-medium">{{ c.what }}</span>
        <span v-for="h in c.heads" :key="h.head.entry.id" class="flex items-baseline gap-2">
          <button
            v-if="session.mayWrite"
            type="button"
            class="min-h-9 pointer-coarse:min-h-11 rounded-md border border-brine bg-sheet px-3 font-mono font-semibold text-brine"
            data-test="settle"
            @click="settle(c.conflict, h.head)"
          >
            {{ h.value }}
          </button>
          <span v-else class="font-mono font-semibold">{{ h.value }}</span>
          <span class="text-[13.5px] text-soft">{{ h.by }}, {{ h.at }}</span>
        </span>
      </li>
    </ul>
  </section>
</template>
