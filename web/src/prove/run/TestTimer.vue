<script setup lang="ts">
import { computed } from 'vue';
import AppButton from '../../shared/ui/AppButton.vue';
import { useNow } from './useNow.ts';

/** Counts from the moment it was started, wherever the phone was meanwhile. */
const props = defineProps<{ startedAt: string | null; wait: number; editable: boolean }>();
defineEmits<{ start: []; stop: [] }>();
const now = useNow();
const elapsed = computed(() =>
  props.startedAt ? Math.max(0, (now.value - Date.parse(props.startedAt)) / 1000) : 0,
);
const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
const words = computed(() => {
  if (!props.startedAt) return `${clock(props.wait)} to wait`;
  const left = props.wait - elapsed.value;
  return left > 0
    ? `${clock(elapsed.value)}, ${clock(left)} to go`
    : `${clock(elapsed.value)}: the ${clock(props.wait)} are over`;
});
</script>

<template>
  <div class="flex flex-wrap items-center gap-3" data-test="timer">
    <span
      class="font-mono text-[17px]"
      :class="{ 'font-semibold text-good': startedAt && elapsed >= wait }"
      >{{ words }}</span
    >
    <AppButton v-if="editable && !startedAt" data-test="timer-start" @click="$emit('start')"
      >Start the timer</AppButton
    >
    <AppButton v-else-if="editable" kind="quiet" @click="$emit('stop')">Clear it</AppButton>
  </div>
</template>
