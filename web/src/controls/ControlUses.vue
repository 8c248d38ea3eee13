<script setup lang="ts">
import { ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { request, messageOf } from '../shared/api/client.ts';
import type { ControllerUse } from '@brine/contract/routes';
import FormProblem from '../shared/ui/FormProblem.vue';

/** Units that have, had or get this family, by their jobs. */
const props = defineProps<{ hash: string }>();
const uses = ref<readonly ControllerUse[] | null>(null);
const problem = ref<string | null>(null);
watch(
  () => props.hash,
  async (hash) => {
    uses.value = null;
    problem.value = null;
    try {
      const answer = await request('controllerUses', { params: { hash } });
      if (hash === props.hash) uses.value = answer.uses;
    } catch (error) {
      problem.value = messageOf(error);
    }
  },
  { immediate: true },
);
</script>

<template>
  <section aria-label="Units that use it" data-test="uses">
    <h3>Units that use it</h3>
    <FormProblem :message="problem" />
    <p v-if="uses?.length === 0" class="text-soft">No job names it yet.</p>
    <ul v-else class="mt-1">
      <li v-for="use in uses ?? []" :key="use.job + use.role" class="border-b border-hairline py-1.5">
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
