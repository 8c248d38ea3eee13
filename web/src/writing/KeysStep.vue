<script setup lang="ts">
import { computed } from 'vue';
import AskHere from './asking/AskHere.vue';
import PanelPick from './PanelPick.vue';
import ShowMe from './ShowMe.vue';
import type { LiveWriting } from './useWriting.ts';

/** How its keys work: a pattern that fits, or shown key by key. */
const props = defineProps<{ live: LiveWriting }>();
const saving = computed(() => props.live.doubts.value.filter(({ kind }) => kind === 'saving'));
</script>

<template>
  <div class="flex flex-col gap-6">
    <PanelPick :live="live" />
    <AskHere :doubts="saving" :live="live" />
    <ShowMe v-if="live.isShown.value" :live="live" />
  </div>
</template>
