<script setup lang="ts">
import { computed } from 'vue';
import type { PredictedFigure } from '@brine/core/machines/identification';

/** A value and the range about it as a bar, all bars of one figure on one scale. */
const props = defineProps<{
  figure: PredictedFigure;
  /** Ends of the scale. */
  from: number;
  to: number;
}>();
const at = (value: number) =>
  props.to > props.from ? (100 * (value - props.from)) / (props.to - props.from) : 50;
const range = computed(() => ({
  left: `${at(props.figure.low)}%`,
  width: `${Math.max(1, at(props.figure.high) - at(props.figure.low))}%`,
}));
</script>

<template>
  <span class="relative block h-3.5 min-w-14 sm:min-w-24" aria-hidden="true">
    <span class="absolute inset-x-0 top-1/2 border-t border-hairline"></span>
    <span class="absolute top-1/2 h-1.5 -translate-y-1/2 rounded-sm bg-brine/45" :style="range"></span>
    <span
      class="absolute top-0 h-full w-0.5 -translate-x-1/2 bg-ink"
      :style="{ left: `${at(figure.value)}%` }"
    ></span>
  </span>
</template>
