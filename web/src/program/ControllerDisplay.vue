<script setup lang="ts">
import { computed } from 'vue';

const props = defineProps<{ text: string; words: string; large?: boolean }>();
/** The 14-segment face has capitals, digits and a few signs; a true minus becomes a hyphen. */
const segments = computed(() =>
  props.text
    .replaceAll('−', '-')
    .replace(/[^A-Za-z0-9.\- ]/g, '')
    .toUpperCase(),
);
</script>

<template>
  <figure class="min-w-0">
    <div
      class="font-display leading-tight whitespace-nowrap text-[#ffb347]"
      :class="large ? (segments.length > 6 ? 'text-[40px]' : 'text-[58px]') : 'text-[34px]'"
      role="img"
      :aria-label="`The display shows ${text}`"
    >
      {{ segments }}
    </div>
    <figcaption v-if="words" class="mt-1 text-[13px] text-[#b5c1c2]">{{ words }}</figcaption>
  </figure>
</template>
