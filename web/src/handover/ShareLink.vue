<script setup lang="ts">
import { addressHere } from '../shared/mount/mount.ts';
import { computed, ref, watch } from 'vue';
import { messageOf, request } from '../shared/api/client.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { useCopy } from '../shared/ui/useCopy.ts';

/** The read-only page of the unit behind the QR code of its sheet. */
const job = useJob();
const session = useSession();
/** Until when the page is open to whoever has a link; null: it is not. */
const endsAt = ref<string | null>(null);
/** The link that was just made: told once, since the server keeps no more than its hash. */
const token = ref<string | null>(null);
const { copied, copy, problem: copyProblem } = useCopy();
const problem = ref('');
const unitId = computed(() => job.job.value?.unit.id ?? null);
const address = computed(() => (token.value ? `${addressHere()}/u/${token.value}` : ''));
async function act(what: 'share' | 'makeShare' | 'revokeShare') {
  if (!unitId.value) return;
  problem.value = '';
  try {
    const answer = await request(what, { params: { id: unitId.value } });
    const share: { readonly endsAt: string; readonly token?: string } | null =
      'share' in answer ? answer.share : null;
    endsAt.value = share?.endsAt ?? null;
    token.value = share?.token ?? null;
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
    <p v-if="endsAt" class="mt-1" data-test="share-open">
      ✓ Each sheet carries its own code; one made today leads there until {{ localDate(endsAt) }}.
    </p>
    <template v-if="token">
      <p class="mt-1 text-[14px] break-all">
        <a class="link" :href="address" target="_blank" rel="noopener" data-test="share-link">{{
          address
        }}</a>
      </p>
      <p class="hint">This link is shown once. Copy it now if somebody is to have it without a sheet.</p>
      <AppButton kind="quiet" class="!px-0" @click="copy(address)">{{
        copied ? 'Copied' : 'Copy it'
      }}</AppButton>
    </template>
    <div v-if="session.mayWrite" class="mt-1 flex flex-wrap gap-x-4">
      <AppButton v-if="!endsAt" data-test="make-share" @click="act('makeShare')"
        >Put a code on the sheet</AppButton
      >
      <template v-else>
        <AppButton v-if="!token" kind="quiet" class="!px-0" @click="act('makeShare')"
          >Make a link to send</AppButton
        >
        <AppButton kind="quiet" class="!px-0" data-test="revoke" @click="act('revokeShare')"
          >Revoke all: every code leads nowhere then</AppButton
        >
      </template>
    </div>
    <p v-if="problem || copyProblem" class="problem" role="alert">{{ problem || copyProblem }}</p>
  </section>
</template>
