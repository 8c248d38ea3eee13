<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { serverAway } from '../api/contact.ts';
import { deviceTrouble } from '../device/trouble.ts';
import { useOutbox } from '../outbox/outboxStore.ts';

const outbox = useOutbox();
const count = computed(() => outbox.waiting.length + outbox.adding);
const mark = computed(() =>
  deviceTrouble.value || outbox.refused.length > 0 ? '!' : count.value > 0 || !outbox.isRead ? '○' : '●',
);
const words = computed(() => {
  // Held in the page is not saved, and neither is what comes next.
  if (deviceTrouble.value) return count.value > 0 ? `${count.value} not kept` : 'keeps nothing';
  if (outbox.refused.length > 0) return `${outbox.refused.length} refused`;
  if (!outbox.isRead) return 'looking …';
  if (count.value === 0) return serverAway.value ? 'no signal' : 'All saved';
  return `${serverAway.value ? 'no signal · ' : ''}${count.value} waiting`;
});
const tone = computed(() =>
  deviceTrouble.value || outbox.refused.length > 0 || serverAway.value ? 'text-amber' : 'text-on-bar-soft',
);
</script>

<template>
  <RouterLink
    to="/waiting"
    class="flex min-h-11 min-w-11 items-center justify-center gap-1.5 text-[14px] whitespace-nowrap"
    :class="tone"
    data-test="save-state"
    aria-live="polite"
  >
    <span aria-hidden="true">{{ mark }}</span>
    <span :class="{ 'max-sm:sr-only': mark === '●' }">{{ words }}</span>
  </RouterLink>
</template>
