<script setup lang="ts">
import { computed } from 'vue';
import { answersOf } from '@brine/core/judgement/following';
import type { RunTest } from '@brine/core/record/job';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localTime } from '../../shared/display/localTime.ts';
import { useFollowing } from '../../shared/follow/useFollowing.ts';
import { useJob } from '../../shared/job/useJob.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { resultWords, shownValue } from './testWords.ts';
import { followedResult, mayStand } from './takeFollowed.ts';

/** What was measured over the bus for a test, to be taken as its result. */
const props = defineProps<{ run: RunTest }>();
const emit = defineEmits<{ taken: [] }>();
const job = useJob();
const display = useDisplay();
const { following } = useFollowing();
const answer = computed(() => answersOf([props.run.test], following.measured)[0] ?? null);
async function take() {
  if (!answer.value) return;
  await job.write(...followedResult(props.run, answer.value));
  emit('taken');
}
</script>

<template>
  <div
    v-if="answer && !run.result"
    class="flex flex-wrap items-center gap-3 border-l-4 border-cold bg-band px-3 py-2"
    data-test="followed-answer"
  >
    <p>
      Measured over the bus at {{ localTime(new Date(answer.at * 1000).toISOString()) }}:
      <strong class="font-mono font-semibold">{{
        shownValue(run.test.measure!, answer.value, display.unit)
      }}</strong>,
      {{ answer.result ? resultWords[answer.result] : 'too near to the limit to tell: read it yourself' }}.
    </p>
    <AppButton v-if="mayStand(run, answer)" data-test="take-followed" @click="take">Take it</AppButton>
  </div>
</template>
