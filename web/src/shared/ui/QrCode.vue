<script setup lang="ts">
import { computed } from 'vue';
import { encode } from 'uqr';

/** A QR code of a text, dark on white in either theme: a camera needs it so. Medium correction: a thumb print does no harm. */
const props = defineProps<{ text: string; label: string }>();
/** Light cells around the code (ISO/IEC 18004 asks for four). */
const QUIET = 4;
const code = computed(() => encode(props.text, { ecc: 'M', border: QUIET }));
const path = computed(() =>
  code.value.data
    .flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
    .join(''),
);
</script>

<template>
  <svg
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${code.size} ${code.size}`"
    shape-rendering="crispEdges"
    class="bg-white"
  >
    <path :d="path" fill="#000" />
  </svg>
</template>
