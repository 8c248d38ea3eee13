<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { clockWords, type Log } from '@brine/core/logs/reading';
import { unitScenario } from '@brine/core/judgement/tuning';
import { useJob } from '../../shared/job/useJob.ts';
import DayStrip from '../../shared/strip/DayStrip.vue';
import { measuredRun } from '../../shared/strip/measuredRun.ts';
import { useRun } from '../../shared/strip/useRun.ts';
import { daysOf } from './daysOf.ts';

/** The measured day over the simulated one. */
const props = defineProps<{ log: Log }>();
const job = useJob();
const days = computed(() => daysOf(props.log));
const day = ref(0);
// The first whole day says more than the half one a log begins with.
watch(days, (list) => (day.value = list.length > 2 ? 1 : 0), { immediate: true });
const run = computed(() => measuredRun(props.log, days.value[day.value] ?? days.value[0]!, 86400, 60));
const { result } = useRun(
  () => (job.program.value.unit ? unitScenario(job.program.value.unit, job.program.value.inForce) : null),
  () => 60,
);
const others = computed(() =>
  result.value ? [{ id: 'simulated', name: 'simulated', result: result.value }] : [],
);
const name = (start: number, i: number) =>
  props.log.clock.kind === 'elapsed'
    ? `day ${i + 1}`
    : clockWords(props.log.clock, start + 43200).replace(/,.*$/, '');
</script>

<template>
  <section aria-label="Measured day" data-test="log-strip">
    <div class="flex flex-wrap items-center gap-4">
      <h3>Measured over simulated</h3>
      <label class="flex items-center gap-2 text-[14px]"
        >Day
        <select v-model="day" class="!min-h-9 pointer-coarse:!min-h-11 !py-1" data-test="log-day">
          <option v-for="(start, i) in days" :key="start" :value="i">{{ name(start, i) }}</option>
        </select>
      </label>
      <span class="text-[14px] text-soft"
        ><span class="font-semibold text-ink">━ air</span>, <span class="text-cold">━ coil</span>,
        <span class="text-good">┅ product</span> measured; ┅ air and lower bars simulated</span
      >
    </div>
    <DayStrip class="mt-2" :run="run" :others="others" :hours="24" :limits="[]" />
  </section>
</template>
