<script setup lang="ts">
import { computed, ref } from 'vue';
import { request, type Answered } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import QrCode from '../shared/ui/QrCode.vue';

/** Sets a second factor up: the password, then the code for the app, then its first six digits. */
const emit = defineEmits<{ confirmed: [codes: readonly string[]]; close: [] }>();
const session = useSession();
const password = ref('');
const code = ref('');
const made = ref<Answered<'beginSecond'> | null>(null);
const { problem, act } = useAct();
/** Groups of four are typed with fewer slips. */
const grouped = computed(() => made.value?.secret.replace(/(.{4})(?=.)/g, '$1 ') ?? '');

const begin = () =>
  act(async () => {
    made.value = await request('beginSecond', { body: { password: password.value } });
    password.value = '';
  });
const confirm = () =>
  act(async () => {
    emit('confirmed', await session.confirmSecond(code.value));
  });
</script>

<template>
  <form v-if="!made" class="flex flex-wrap items-end gap-3" novalidate @submit.prevent="begin">
    <span class="flex flex-col gap-1"
      ><label for="second-password" class="field-label">Your password once more</label
      ><input
        id="second-password"
        v-model="password"
        type="password"
        class="w-72"
        autocomplete="current-password"
    /></span>
    <AppButton kind="primary" type="submit" :disabled="password === ''" data-test="begin-second"
      >Go on</AppButton
    >
    <AppButton kind="quiet" @click="emit('close')">Not now</AppButton>
    <FormProblem class="w-full" :message="problem" />
  </form>
  <form v-else class="flex flex-wrap items-start gap-5" novalidate @submit.prevent="confirm">
    <QrCode class="w-44 shrink-0" :text="made.address" label="Code for the authenticator app" />
    <div class="flex min-w-0 max-w-lg flex-1 flex-col gap-3">
      <p>
        1. Read this code with an authenticator app. On this very phone,
        <a class="link" :href="made.address">open it in the app</a>, or type the key:
      </p>
      <p class="font-mono text-[15px] break-all select-all" data-test="second-secret">{{ grouped }}</p>
      <span class="flex flex-col gap-1"
        ><label for="second-first" class="field-label">2. Six digits that the app shows</label
        ><input
          id="second-first"
          v-model="code"
          class="w-40 font-mono text-[20px]"
          inputmode="numeric"
          autocomplete="one-time-code"
          maxlength="8"
      /></span>
      <FormProblem :message="problem" />
      <p class="flex flex-wrap gap-3">
        <AppButton kind="primary" type="submit" :disabled="code.trim().length < 6" data-test="confirm-second"
          >Turn it on</AppButton
        >
        <AppButton kind="quiet" @click="emit('close')">Not now</AppButton>
      </p>
      <p class="hint">Every other browser and device is signed out then.</p>
    </div>
  </form>
</template>
