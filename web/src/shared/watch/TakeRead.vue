<script setup lang="ts">
import { computed } from 'vue';
import { Camera } from '@lucide/vue';
import { useJob } from '../job/useJob.ts';
import AppButton from '../ui/AppButton.vue';
import WatchButton from './WatchButton.vue';
import { useWatch } from './watchStore.ts';

/** What the camera reads on the display, put into a field with one touch; whoever stands there sees it and may change it. */
defineEmits<{ read: [text: string] }>();
const job = useJob();
const watching = useWatch();
const here = computed(() => watching.job === job.id && watching.state === 'on');
</script>

<template>
  <WatchButton v-if="!here" />
  <AppButton v-else-if="watching.text" wide data-test="take-read" @click="$emit('read', watching.text)">
    <Camera :size="18" aria-hidden="true" />Take
    <span class="font-mono font-semibold">{{ watching.text }}</span> from the camera
  </AppButton>
</template>
