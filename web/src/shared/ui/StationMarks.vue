<script setup lang="ts">
import { computed } from 'vue';
import { stationNames, stations } from '@brine/core/record/stations';
import type { JobSummary } from '@brine/contract/routes';

/** Six small marks for the six stations: done, next, not yet; with the word of the next beside them. */
const props = defineProps<{ summary: JobSummary }>();
const next = computed(() => props.summary.next);
const marks = computed(() =>
  stations.map((id, i) => ({
    id,
    state: props.summary.stations[i]?.done ? 'done' : next.value?.station === id ? 'next' : 'later',
  })),
);
const words = computed(() =>
  marks.value
    .map(({ id, state }) => `${stationNames[id]} ${state === 'later' ? 'not yet' : state}`)
    .join(', '),
);
</script>

<template>
  <span class="inline-flex items-center gap-2">
    <span class="inline-flex gap-1" role="img" :aria-label="words">
      <span
        v-for="mark in marks"
        :key="mark.id"
        class="block h-2 w-4"
        :class="{
          'bg-brine': mark.state === 'done',
          'h-2.5 bg-amber': mark.state === 'next',
          'border border-edge': mark.state === 'later',
        }"
      ></span>
    </span>
    <span class="text-[14px]">{{ next ? next.name : '✓ done' }}</span>
  </span>
</template>
