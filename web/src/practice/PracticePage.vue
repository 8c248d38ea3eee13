<script setup lang="ts">
import { computed } from 'vue';
import { machineOf } from '@brine/core/controllers/panel';
import { definitionByHash } from '../shared/job/definitions.ts';
import FamilyList from '../shared/job/FamilyList.vue';
import NoControllers from '../shared/job/NoControllers.vue';
import { useControllers } from '../shared/job/useControllers.ts';
import FormProblem from '../shared/ui/FormProblem.vue';
import PracticeBench from '../shared/bench/PracticeBench.vue';

const props = defineProps<{ hash?: string }>();
const { controllers, problem, isEmpty } = useControllers();
const chosen = computed(() => props.hash || controllers.value[0]?.hash);
const definition = computed(() => definitionByHash(chosen.value));
const machine = computed(() => (definition.value ? machineOf(definition.value) : null));
</script>

<template>
  <div class="grid flex-1 lg:grid-cols-[minmax(0,16rem)_minmax(0,1fr)]">
    <section
      class="border-b border-hairline px-4 py-5 sm:px-5 lg:border-r lg:border-b-0"
      aria-label="Controllers"
    >
      <h1>Practice</h1>
      <FamilyList :controllers="controllers" :chosen="chosen" page="/practice" />
      <FormProblem class="mt-3" :message="problem" />
    </section>
    <section class="bg-sheet px-4 py-6 sm:px-8" aria-label="Panel">
      <PracticeBench v-if="machine" :key="chosen" :machine="machine" />
      <p v-else-if="definition">
        The definition of {{ definition.family }} says nothing of its keys: it cannot be practised.
      </p>
      <NoControllers v-else-if="isEmpty" />
      <p v-else-if="!problem" class="text-soft">Loading the panel …</p>
    </section>
  </div>
</template>
