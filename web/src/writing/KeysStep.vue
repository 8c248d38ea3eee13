<script setup lang="ts">
import PanelPick from './PanelPick.vue';
import ShowMe from './ShowMe.vue';
import type { LiveWriting } from './useWriting.ts';

/** How its keys work: a pattern that fits, or shown key by key. */
defineProps<{ live: LiveWriting }>();
</script>

<template>
  <div class="flex flex-col gap-6">
    <PanelPick :live="live" />
    <ShowMe v-if="live.isShown.value" :live="live" />
  </div>
</template>
