<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { VisitStep } from '@brine/core/judgement/leaving';
import { useJob } from '../../shared/job/useJob.ts';
import BorrowNow from './BorrowNow.vue';
import { clock } from './visitWords.ts';

/** One proof at its place in the visit; what comes now is open. */
const props = defineProps<{ step: VisitStep; at: number; now: boolean }>();
const job = useJob();
/** Phases of one moment are one line. */
const phases = computed(() =>
  props.step.phases.filter(({ from, to }, i) => to - from > 1 || i === 0 || props.step.phases.length === 1),
);
const path = computed(() => `/jobs/${job.id}/prove/run#${props.step.way.tests[0]}`);
</script>

<template>
  <li class="border-b border-hairline" :data-step="step.proof.id">
    <details :open="now">
      <summary
        class="grid min-h-11 cursor-pointer grid-cols-[3.4rem_minmax(0,1fr)_auto] content-center gap-x-2 py-1.5"
      >
        <span class="font-mono">{{ clock(at, step.start) }}</span>
        <span :class="{ 'font-semibold': now }"
          >{{ step.proof.title }}<span v-if="step.isShortened" class="text-soft">, shortened</span></span
        >
        <span class="font-mono text-soft">to {{ clock(at, step.end.likely) }}</span>
      </summary>
      <ol class="mb-2 ml-[3.9rem] flex flex-col gap-1.5 text-[14.5px]">
        <li v-for="(phase, i) in phases" :key="i">
          <span class="font-mono text-soft">{{ clock(at, phase.from) }}</span>
          {{ phase.does }}<span v-if="!phase.uses.includes('hands')" class="text-soft">, waiting</span>
          <BorrowNow v-if="phase.lends" class="my-1.5" :thing="phase.lends" :tests="step.way.tests" />
        </li>
        <li>
          <RouterLink class="link" :to="path" data-test="visit-open-test">Open the test</RouterLink>
        </li>
      </ol>
    </details>
  </li>
</template>
