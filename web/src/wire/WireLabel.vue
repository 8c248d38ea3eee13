<script setup lang="ts">
import { computed } from 'vue';
import type { LabelPlace } from './layOut.ts';
import { plateWidth } from './plateWidth.ts';

/** A wire's label on its stretch; drawn after all wires, so that none runs through it. */
const props = defineProps<{ label: LabelPlace; words: string; live: boolean }>();
const plate = computed(() => plateWidth(props.words));
const turn = computed(() =>
  props.label.upright ? `rotate(-90 ${props.label.x} ${props.label.y})` : undefined,
);
</script>

<template>
  <g :transform="turn" style="pointer-events: none" aria-hidden="true">
    <rect :x="label.x - plate / 2" :y="label.y - 8" :width="plate" height="15" fill="var(--paper)" />
    <text
      :x="label.x"
      :y="label.y + 3.6"
      text-anchor="middle"
      font-size="11.5"
      font-family="'Spline Sans Mono', monospace"
      fill="var(--ink)"
      :font-weight="live ? 600 : 400"
    >
      {{ words }}
    </text>
  </g>
</template>
