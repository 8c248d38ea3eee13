<script setup lang="ts">
import { RouterLink } from 'vue-router';
import FormProblem from '../shared/ui/FormProblem.vue';
import type { KnownUses } from './useUses.ts';

/** Units that have, had or get this family, by their jobs. */
defineProps<{ known: KnownUses | null; problem: string | null }>();
</script>

<template>
  <section aria-label="Units that use it" data-test="uses">
    <h3>Units that use it</h3>
    <FormProblem :message="problem" />
    <p v-if="known?.uses.length === 0" class="text-soft">No job names it yet.</p>
    <ul v-else class="mt-1">
      <li v-for="use in known?.uses ?? []" :key="use.job + use.role" class="border-b border-hairline py-1.5">
        <RouterLink class="link" :to="`/jobs/${use.job}`"
          >{{ use.tag || use.unit }}, {{ use.site }}</RouterLink
        >
        <span class="text-soft">
          {{ use.role === 'old' ? 'was found with it' : 'gets it' }}: {{ use.title
          }}<template v-if="!use.thisVersion"> (version {{ use.version }})</template></span
        >
      </li>
    </ul>
  </section>
</template>
