<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { useOutbox } from '../outbox/outboxStore.ts';

const outbox = useOutbox();
const count = computed(() => outbox.waiting.length + outbox.adding);
const mark = computed(() => (outbox.refused.length > 0 ? '!' : count.value > 0 ? '○' : '●'));
const words = computed(() => {
  if (outbox.refused.length > 0) return `${outbox.refused.length} refused`;
  if (count.value === 0) return outbox.serverAway ? 'no signal' : 'All saved';
  return `${outbox.serverAway ? 'no signal · ' : ''}${count.value} waiting`;
});
const tone = computed(() =>
  outbox.refused.length > 0 || outbox.serverAway ? 'text-amber' : 'text-on-bar-soft',
);
</script>

<template>
  <RouterLink
    to="/waiting"
    class="flex min-h-9 min-w-9 items-center justify-center gap-1.5 text-[14px] whitespace-nowrap"
    :class="tone"
    data-test="save-state"
    aria-live="polite"
  >
    <span aria-hidden="true">{{ mark }}</span>
    <span :class="{ 'max-sm:sr-only': mark === '●' }">{{ words }}</span>
  </RouterLink>
</template>
