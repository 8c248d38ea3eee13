<script setup lang="ts">
import { ref } from 'vue';
import { RouterLink } from 'vue-router';
import { LONGEST_TEXT } from '@brine/contract/lengths';
import { cutText } from '../ui/cutText.ts';
import { localDate } from '../display/localTime.ts';
import { useJob } from '../job/useJob.ts';
import { useSession } from '../session/sessionStore.ts';
import AppButton from '../ui/AppButton.vue';
import { useLearnedBox } from './useLearnedBox.ts';

/** Says which box stands behind what is shown, and switches: the unit’s own, or the usual of its kind. */
const job = useJob();
const session = useSession();
const { learned, used, stale, choose } = useLearnedBox(job);
const changing = ref(false);
const why = ref('');
async function changed() {
  await choose('usual', cutText(why.value.trim(), LONGEST_TEXT));
  changing.value = false;
  why.value = '';
}
</script>

<template>
  <div
    v-if="learned"
    class="flex flex-col gap-2 border-l-4 px-3 py-2 text-[14px]"
    :class="stale ? 'border-amber bg-amber-wash' : used ? 'border-brine bg-band' : 'border-hairline bg-band'"
    data-test="box-line"
  >
    <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span v-if="used"
        ><strong class="font-semibold">With this unit’s own box,</strong> learned from {{ learned.name }} by
        {{ job.nameOf(learned.author) }} on {{ localDate(learned.at) }}.</span
      >
      <span v-else
        ><strong class="font-semibold">With the usual box of its kind.</strong> This unit’s own was learned on
        {{ localDate(learned.at) }}.</span
      >
      <RouterLink
        class="link pointer-coarse:min-h-11 pointer-coarse:content-center"
        :to="`/jobs/${job.id}/prove/log`"
        >What was learned</RouterLink
      >
      <template v-if="session.mayWrite">
        <button
          type="button"
          class="link pointer-coarse:min-h-11"
          data-test="switch-box"
          @click="choose(used ? 'usual' : 'own')"
        >
          {{ used ? 'Use the usual box' : 'Use its own' }}
        </button>
        <button
          v-if="used"
          type="button"
          class="link pointer-coarse:min-h-11"
          data-test="unit-changed"
          @click="changing = !changing"
        >
          The unit was changed
        </button>
      </template>
    </p>
    <form v-if="changing" class="flex flex-wrap items-center gap-3" @submit.prevent="changed">
      <label class="flex flex-1 flex-wrap items-center gap-2"
        >What was changed
        <input
          v-model="why"
          class="min-w-52 flex-1"
          maxlength="2000"
          placeholder="new door seal, coil cleaned, charge mended"
          required
          data-test="what-changed"
      /></label>
      <AppButton type="submit">Put its own box aside</AppButton>
    </form>
    <p v-if="stale" data-test="box-stale">{{ stale }}</p>
  </div>
</template>
