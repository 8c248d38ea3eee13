<script setup lang="ts">
import { computed } from 'vue';
import { standing } from '@brine/core/record/fold';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** Whether the keypad was left locked: asked once, before anybody leaves. */
const job = useJob();
const session = useSession();
const locked = computed(() => standing(job.state.value, 'keypadLocked', 'keypadLocked')?.locked ?? null);
const canLock = computed(
  () =>
    job.program.value.rows.some((row) => row.settings.includes('access.keypadLock')) ||
    job.replacement.value?.panel !== undefined,
);
const say = (value: boolean | null) => job.write({ kind: 'keypadLocked', locked: value });
</script>

<template>
  <section v-if="canLock" aria-label="Keypad" data-test="lock-reminder">
    <template v-if="locked === null">
      <p class="border-l-4 border-amber bg-amber-wash px-3 py-2">
        Is the keypad locked? What is not locked is turned.
      </p>
      <div v-if="session.mayWrite" class="mt-2 flex gap-2">
        <AppButton data-test="locked-yes" @click="say(true)">Locked</AppButton>
        <AppButton @click="say(false)">Left open on purpose</AppButton>
      </div>
    </template>
    <p v-else>
      ✓ The keypad is {{ locked ? 'locked' : 'left open on purpose' }}.
      <button v-if="session.mayWrite" type="button" class="link" @click="say(null)">Change</button>
    </p>
  </section>
</template>
