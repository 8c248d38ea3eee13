<script setup lang="ts">
import { Camera } from '@lucide/vue';
import AppButton from '../ui/AppButton.vue';
import WatchButton from './WatchButton.vue';
import { useWatchHere } from './useWatchHere.ts';

/** What the camera reads on the display, put into a field with one touch; whoever stands there sees it and may change it. */
defineEmits<{ read: [text: string] }>();
const { watching, isOn } = useWatchHere();
</script>

<template>
  <WatchButton v-if="!isOn" />
  <AppButton v-else-if="watching.text" wide data-test="take-read" @click="$emit('read', watching.text)">
    <Camera :size="18" aria-hidden="true" />Take
    <span class="font-mono font-semibold">{{ watching.text }}</span> from the camera
  </AppButton>
</template>
