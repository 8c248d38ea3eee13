<script setup lang="ts">
import type { MayStart } from '@brine/core/judgement/energise';
import type { StartOutput } from '@brine/core/machines/starts';
import { outputWords } from '../shared/circuit/outputWords.ts';
import { startWords } from './startWords.ts';

/** What may start in the next minutes, an output a lane: free up to its earliest second, then hatched. The words beside say the same. */
const props = defineProps<{
  starts: readonly MayStart[];
  minutes: number;
  /** The first stage heats: its output is no compressor. */
  heats: boolean;
}>();
const nameOf = (output: StartOutput) =>
  output === 'compressor' && props.heats ? 'Heating' : outputWords(output);
const ticks = [0, 2, 4, 6, 8, 10].filter((minute) => minute <= props.minutes);
const share = (seconds: number) => Math.min(100, (100 * seconds) / (60 * props.minutes));
</script>

<template>
  <div class="max-w-3xl" data-test="start-strip">
    <div
      v-for="start in starts"
      :key="start.output"
      class="grid grid-cols-[7.5rem_minmax(0,1fr)] items-center gap-x-3 border-t border-hairline py-1.5"
      :data-output="start.output"
    >
      <span class="font-semibold">{{ nameOf(start.output) }}</span>
      <div class="relative h-4 border-b border-ink" aria-hidden="true">
        <span
          class="start-free absolute inset-y-0 right-0 border-l-2 border-alarm"
          :style="{ left: `${share(start.earliestSeconds)}%` }"
        ></span>
      </div>
      <span class="col-span-2 text-[14.5px] sm:col-span-1 sm:col-start-2"
        >{{ startWords(start)
        }}<span v-if="start.under !== 'as programmed'" class="text-soft">, {{ start.under }}</span></span
      >
    </div>
    <div class="grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-3 text-[13px] text-soft" aria-hidden="true">
      <span>minutes after power</span>
      <div class="relative h-5">
        <span
          v-for="minute in ticks"
          :key="minute"
          class="absolute -translate-x-1/2 font-mono first:translate-x-0 last:-translate-x-full"
          :style="{ left: `${share(minute * 60)}%` }"
          >{{ minute }}</span
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.start-free {
  background: repeating-linear-gradient(
    135deg,
    transparent 0 4px,
    color-mix(in srgb, var(--color-alarm) 45%, transparent) 4px 6px
  );
}
</style>
