<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { messageOf, request } from '../shared/api/client.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** The read-only page of the unit behind the QR code of its sheet. */
const job = useJob();
const session = useSession();
const token = ref<string | null>(null);
const problem = ref('');
const unitId = computed(() => job.job.value?.unit.id ?? null);
const address = computed(() => (token.value ? `${location.origin}/u/${token.value}` : ''));
async function act(what: 'share' | 'makeShare' | 'revokeShare') {
  if (!unitId.value) return;
  problem.value = '';
  try {
    const answer = await request(what, { params: { id: unitId.value } });
    token.value = 'share' in answer ? (answer.share?.token ?? null) : null;
  } catch (error) {
    problem.value = messageOf(error);
  }
}
watch(unitId, () => void act('share'), { immediate: true });
</script>

<template>
  <section aria-label="Link of the unit" data-test="share">
    <h3>QR code on the sheet</h3>
    <p class="hint mt-1">
      Leads to a page of this unit that anybody may read: settings, alarms, what to watch. No people, no
      pictures, no access codes.
    </p>
    <template v-if="token">
      <p class="mt-1 text-[14px] break-all">
        <a class="link" :href="address" target="_blank" rel="noopener" data-test="share-link">{{
          address
        }}</a>
      </p>
      <AppButton
        v-if="session.mayWrite"
        kind="quiet"
        class="!px-0"
        data-test="revoke"
        @click="act('revokeShare')"
        >Revoke it: the code leads nowhere then</AppButton
      >
    </template>
    <AppButton v-else-if="session.mayWrite" class="mt-2" data-test="make-share" @click="act('makeShare')"
      >Put a code on the sheet</AppButton
    >
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>
