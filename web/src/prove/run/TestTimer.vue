<script setup lang="ts">
import { computed } from 'vue';
import AppButton from '../../shared/ui/AppButton.vue';
import { stopwatch } from '../../shared/display/localTime.ts';
import { useNow } from '../../shared/job/useNow.ts';
import { shownTime } from './testWords.ts';

/**
 * A stopwatch: one touch when it begins, one when it ends. It counts from the moment it was started, wherever the phone was meanwhile; what is
 * measured by it is judged by it.
 */
const props = defineProps<{
  startedAt: string | null;
  wait: number | null;
  timed: boolean;
  editable: boolean;
}>();
defineEmits<{ start: []; ended: [seconds: number]; stop: [] }>();
const now = useNow();
const elapsed = computed(() =>
  props.startedAt ? Math.max(0, (now.value - Date.parse(props.startedAt)) / 1000) : 0,
);
const sinceStart = () => Math.max(0, (Date.now() - Date.parse(props.startedAt!)) / 1000);
const words = computed(() => {
  const { wait } = props;
  if (!props.startedAt) return wait === null ? '' : `${shownTime(wait)} set`;
  const left = wait === null ? 0 : wait - elapsed.value;
  if (wait === null) return stopwatch(elapsed.value);
  return left > 0
    ? `${stopwatch(elapsed.value)}, ${stopwatch(left)} to go`
    : `${stopwatch(elapsed.value)}: the ${shownTime(wait)} are over`;
});
const over = computed(() => props.startedAt && props.wait !== null && elapsed.value >= props.wait);
</script>

<template>
  <div class="flex flex-wrap items-center gap-3" data-test="timer">
    <span v-if="words" class="font-mono text-[17px]" :class="{ 'font-semibold text-good': over }">{{
      words
    }}</span>
    <AppButton
      v-if="editable && !startedAt"
      class="max-sm:!min-h-14"
      data-test="timer-start"
      @click="$emit('start')"
      >{{ timed ? 'It begins now' : 'Start the timer' }}</AppButton
    >
    <template v-else-if="editable">
      <AppButton
        v-if="timed"
        kind="primary"
        class="max-sm:!min-h-14"
        data-test="timer-ended"
        @click="$emit('ended', sinceStart())"
        >It ended now</AppButton
      >
      <AppButton kind="quiet" @click="$emit('stop')">Clear it</AppButton>
    </template>
  </div>
</template>
