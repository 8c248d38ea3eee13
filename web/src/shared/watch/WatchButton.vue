<script setup lang="ts">
import { Camera } from '@lucide/vue';
import { useJob } from '../job/useJob.ts';
import AppButton from '../ui/AppButton.vue';
import { useWatchHere } from './useWatchHere.ts';

/** Lets the phone watch the display of the control, where its readings are wanted. */
const job = useJob();
const { watching, isMine } = useWatchHere();
</script>

<template>
  <div v-if="!isMine" class="flex flex-wrap items-center gap-x-3">
    <AppButton kind="quiet" data-test="watch-start" @click="watching.start(job.id)">
      <Camera :size="18" aria-hidden="true" />Let the phone watch the display
    </AppButton>
    <span v-if="watching.problem" class="problem" role="alert">{{ watching.problem }}</span>
  </div>
</template>
