<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Job } from '@brine/contract/routes';
import { isLate } from './board.ts';
import { dayWords } from './dayWords.ts';
import StationMarks from '../shared/ui/StationMarks.vue';

/** A job on the board: what it is, how far, what comes next, who and when. */
const props = defineProps<{ job: Job; today: string; mayPlan: boolean }>();
defineEmits<{ plan: [] }>();
const late = computed(() => isLate(props.job, props.today));
const about = computed(() => {
  const { title, summary } = props.job;
  return summary?.complaint && summary.complaint !== title ? `${title}: ${summary.complaint}` : title;
});
const nextWords = computed(() => {
  const { summary } = props.job;
  if (!summary) return 'being looked at …';
  if (summary.next) return summary.next.words;
  return summary.openWords === '' ? 'finished' : summary.openWords;
});
</script>

<template>
  <li
    class="relative grid gap-x-5 gap-y-1 border-b border-hairline py-2.5 hover:bg-band xl:grid-cols-[4.5rem_minmax(0,1.5fr)_minmax(0,11rem)_minmax(0,1fr)_9rem] xl:items-center"
    :data-today="job.id"
  >
    <span class="font-mono text-soft max-xl:hidden">{{ job.unit.tag }}</span>
    <span class="min-w-0">
      <RouterLink class="font-medium text-brine after:absolute after:inset-0" :to="`/jobs/${job.id}`"
        ><span v-if="job.unit.tag" class="mr-1.5 font-mono font-normal text-soft xl:hidden">{{
          job.unit.tag
        }}</span
        >{{ job.unit.name }}</RouterLink
      >
      <span class="block text-[13.5px] text-soft">{{ job.unit.siteName }} · {{ about }}</span>
    </span>
    <span><StationMarks v-if="job.summary" :summary="job.summary" /></span>
    <span class="min-w-0 text-[14.5px]">
      {{ nextWords }}
      <span v-if="job.waitsFor" class="block text-[13.5px] font-medium">waits for {{ job.waitsFor }}</span>
    </span>
    <span class="text-[14px] max-xl:flex max-xl:items-center max-xl:gap-3">
      <span :class="{ 'text-alarm': !job.assignedTo }">{{ job.assignedTo?.name ?? 'nobody yet' }}</span>
      <span v-if="job.plannedFor" class="xl:block" :class="late ? 'font-semibold text-alarm' : 'text-soft'">{{
        dayWords(job.plannedFor, today)
      }}</span>
      <button
        v-if="mayPlan"
        type="button"
        class="link relative z-10 min-h-7 text-[13.5px] max-xl:ml-auto xl:block pointer-coarse:min-h-11"
        :aria-label="`Plan ${job.unit.name}`"
        data-test="plan-job"
        @click="$emit('plan')"
      >
        Plan
      </button>
    </span>
  </li>
</template>
