<script setup lang="ts">
import { computed, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { alertHand } from '../shared/cabinet/alert.ts';
import { useCabinetOptions } from '../shared/cabinet/useCabinetOptions.ts';
import { useJob } from '../shared/job/useJob.ts';
import { stopwatch } from '../shared/display/localTime.ts';
import { useNow } from '../shared/job/useNow.ts';

/** The stopwatches that run in this job, on each of its pages; one that is over is heard and felt. */
const job = useJob();
const now = useNow();
const options = useCabinetOptions();
const running = computed(() =>
  job.proving.value.tests
    .filter((run) => run.startedAt !== null && run.result === null)
    .map((run) => {
      const elapsed = Math.max(0, (now.value - Date.parse(run.startedAt!)) / 1000);
      const { id, title, wait } = run.test;
      return {
        id,
        title,
        clock: stopwatch(elapsed),
        over: wait !== null && elapsed >= wait,
        of: wait && stopwatch(wait),
      };
    }),
);
const over = computed(() => running.value.filter((timer) => timer.over).map((timer) => timer.id));
watch(over, (ids, before) => {
  if (options.value.sound && ids.some((id) => !before.includes(id))) alertHand();
});
</script>

<template>
  <ul
    v-if="running.length > 0"
    class="flex shrink-0 flex-wrap border-b border-hairline bg-band px-2 sm:px-4 print:hidden"
    aria-label="Stopwatches"
    data-test="timers"
  >
    <li v-for="timer in running" :key="timer.id">
      <RouterLink
        :to="`/jobs/${job.id}/prove/run#${timer.id}`"
        class="flex min-h-11 items-center gap-2 px-2 text-[14.5px]"
        :class="{ 'font-semibold text-good': timer.over }"
        >{{ timer.title }}
        <span class="font-mono"
          >{{ timer.clock }}<template v-if="timer.of"> of {{ timer.of }}</template></span
        >{{ timer.over ? '✓ over' : '' }}</RouterLink
      >
    </li>
  </ul>
</template>
