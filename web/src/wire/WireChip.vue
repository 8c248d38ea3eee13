<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../shared/display/displayStore.ts';
import { colourCode, colourOf } from './wireColours.ts';

/** A wire's label with a stroke of its colour and the letters of it. */
const props = defineProps<{ label: string; colour: string }>();
const display = useDisplay();
const stroke = computed(() => colourOf(props.colour, display.theme === 'box'));
</script>

<template>
  <span class="inline-flex items-center gap-1.5 whitespace-nowrap">
    <span
      class="inline-block h-[5px] w-7 rounded-sm border border-edge"
      :style="{ background: stroke }"
    ></span>
    <span class="font-mono text-[13px] font-semibold">{{ label }}</span>
    <span class="text-[13px] text-soft">{{ colour }} {{ colour ? colourCode(colour) : '' }}</span>
  </span>
</template>
