<script setup lang="ts">
import type { FactId } from '@brine/core/foundation/unit';
import FactField from './FactField.vue';

/** Some facts of a job, one field each, in their order; how they stand on the page is the page's. */
defineProps<{
  facts: readonly FactId[];
  values: Readonly<Partial<Record<FactId, number>>>;
  editable: boolean;
}>();
</script>

<template>
  <FactField v-for="fact in facts" :key="fact" :fact="fact" :value="values[fact]!" :editable="editable" />
</template>
