<script setup lang="ts">
import { computed } from 'vue';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { localTime } from '../shared/display/localTime.ts';

/** Locked out, and energised again: two entries, each with its own press; the fields follow the later one. */
const job = useJob();
const session = useSession();
const power = computed(() => job.wiring.value.power);
const words = computed(() => {
  const { now, lockedOutAt, liveAt } = power.value;
  if (now === 'lockedOut') return `■ Locked out since ${localTime(lockedOutAt!)}`;
  return now === 'live' ? `▲ Live since ${localTime(liveAt!)}` : 'Not locked out yet';
});
const press = (state: 'lockedOut' | 'live') => job.write({ kind: 'power', state });
</script>

<template>
  <div class="flex flex-col gap-2">
    <p class="font-semibold" data-test="power-words">{{ words }}</p>
    <div v-if="session.mayWrite" class="flex flex-wrap gap-2">
      <AppButton
        v-if="power.now !== 'lockedOut'"
        kind="primary"
        data-test="locked-out"
        @click="press('lockedOut')"
        >Locked out and proven dead</AppButton
      >
      <AppButton v-else kind="primary" data-test="live-again" @click="press('live')"
        >Energised again</AppButton
      >
    </div>
  </div>
</template>
