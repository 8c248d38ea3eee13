<script setup lang="ts">
import { computed } from 'vue';
import { localTime } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import type { Interrupted } from './useInterrupted.ts';

/** Above the strokes: the work was broken off, and of some codes that are ticked it is not sure that the control holds them. */
const props = defineProps<{ interrupted: Interrupted }>();
const job = useJob();
const session = useSession();
const words = computed(() => {
  const broken = props.interrupted.brokenOff.value;
  if (!broken) return '';
  const { last, doubtful } = broken;
  const who = last.author === session.person?.id ? 'You' : job.nameOf(last.author);
  const which = doubtful.length === 1 ? `${doubtful[0]!}` : `${doubtful.length} of the codes`;
  return `${who} keyed up to ${last.code}, ${localTime(last.at)}. It is not sure that the control kept ${which}.`;
});
</script>

<template>
  <div
    v-if="words"
    class="flex flex-wrap items-center gap-x-3 gap-y-1 border-l-4 border-amber bg-amber-wash px-3 py-2"
    role="status"
    data-test="broken-off"
  >
    <p class="min-w-0 flex-1 basis-56">{{ words }}</p>
    <AppButton data-test="find-out" @click="interrupted.begin()">Find out</AppButton>
  </div>
</template>
