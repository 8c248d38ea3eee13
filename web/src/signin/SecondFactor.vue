<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { request, type Answered } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { saveFile } from '../shared/ui/saveFile.ts';
import { useCopy } from '../shared/ui/useCopy.ts';
import SecondSetUp from './SecondSetUp.vue';

/** One’s second factor: set up, its recovery codes, ended. */
const session = useSession();
const state = ref<Answered<'second'> | null>(null);
/** Told once: the server keeps no more than their hashes. */
const codes = ref<readonly string[] | null>(null);
const settingUp = ref(false);
const code = ref('');
const { problem, act } = useAct();
const { copied, copy, problem: copyProblem } = useCopy();
const text = computed(() => (codes.value ?? []).join('\n'));
const demo = computed(() => session.person?.demo === true);

const load = () =>
  act(async () => {
    state.value = await request('second');
  });
function confirmed(fresh: readonly string[]): void {
  settingUp.value = false;
  codes.value = fresh;
  void load();
}
const renew = () =>
  act(async () => {
    codes.value = (await request('renewRecoveryCodes', { body: { code: code.value } })).recoveryCodes;
    code.value = '';
    state.value = await request('second');
  });
const end = () =>
  act(async () => {
    await request('endSecond', { body: { code: code.value } });
    code.value = '';
    codes.value = null;
    state.value = await request('second');
  });
const save = () => saveFile('brine-dial-recovery-codes.txt', new Blob([text.value], { type: 'text/plain' }));
onMounted(load);
</script>

<template>
  <section aria-label="Second factor" data-test="second-factor">
    <h2>A second factor</h2>
    <p v-if="demo" class="hint mt-1">Demo accounts have none.</p>
    <template v-else>
      <p
        v-if="session.person?.needsSecond"
        class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2"
        role="status"
        data-test="second-needed"
      >
        Your company asks for a second factor. Set it up now; the other pages open once it is there. What
        waits on this device is kept.
      </p>
      <p class="mt-1 max-w-[64ch]">
        Beside the password, signing in then asks for six digits from an authenticator app on your phone.
        Whoever learns your password does not get in with it alone.
      </p>
      <FormProblem class="mt-2" :message="problem ?? copyProblem" />
      <div v-if="codes" class="mt-3 border-l-4 border-good bg-good-wash px-3 py-3" data-test="recovery-codes">
        <p class="max-w-[64ch]">
          These are your recovery codes, shown only now. Each signs you in once when the phone is gone. Keep
          them on paper or in a safe place, not on the same phone.
        </p>
        <ul class="mt-2 grid max-w-md grid-cols-2 gap-x-8 gap-y-1 font-mono text-[15px]">
          <li v-for="one in codes" :key="one" class="select-all">{{ one }}</li>
        </ul>
        <p class="mt-2 flex flex-wrap gap-3">
          <AppButton @click="copy(text)">{{ copied ? '✓ Copied' : 'Copy them' }}</AppButton>
          <AppButton @click="save">Save as a file</AppButton>
        </p>
      </div>
      <template v-if="state?.since">
        <p class="mt-2" data-test="second-on">
          On since {{ localDate(state.since) }}. {{ state.recoveryLeft }} of 10 recovery codes are left.
        </p>
        <form class="mt-2 flex flex-wrap items-end gap-3" novalidate @submit.prevent="renew">
          <span class="flex flex-col gap-1"
            ><label for="second-code" class="field-label">Code of now</label
            ><input
              id="second-code"
              v-model="code"
              class="w-40 font-mono"
              autocomplete="one-time-code"
              maxlength="40"
          /></span>
          <AppButton type="submit" :disabled="code.trim() === ''" data-test="renew-recovery"
            >New recovery codes</AppButton
          >
          <AppButton
            v-if="!state.required"
            kind="quiet"
            :disabled="code.trim() === ''"
            data-test="end-second"
            @click="end"
            >End the second factor</AppButton
          >
        </form>
        <p v-if="state.required" class="hint mt-2">
          Your company asks for it. For a new phone a lead resets it under Company, People.
        </p>
      </template>
      <SecondSetUp v-else-if="settingUp" class="mt-3" @confirmed="confirmed" @close="settingUp = false" />
      <p v-else-if="state" class="mt-2">
        <AppButton kind="primary" data-test="set-up-second" @click="settingUp = true">Set it up</AppButton>
      </p>
    </template>
  </section>
</template>
