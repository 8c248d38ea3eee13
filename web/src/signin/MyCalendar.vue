<script setup lang="ts">
import { addressHere } from '../shared/mount/mount.ts';
import { computed, onMounted, ref } from 'vue';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import { localDate } from '../shared/display/localTime.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import QrCode from '../shared/ui/QrCode.vue';
import { useCopy } from '../shared/ui/useCopy.ts';

/** The link by which a calendar program follows one’s planned jobs. */
const link = ref<{ readonly createdAt: string } | null | undefined>(undefined);
/** Told once: the server keeps no more than its hash. */
const token = ref<string | null>(null);
const { problem, act } = useAct();
const { copied, copy, problem: copyProblem } = useCopy();
const address = computed(() => (token.value ? `${addressHere()}/api/calendar/${token.value}.ics` : ''));
/** Phones hand this scheme to their calendar, which then asks by itself. */
const subscribing = computed(() => address.value.replace(/^https?:/, 'webcal:'));

const load = () =>
  act(async () => {
    link.value = (await request('calendarLink')).link;
  });
const make = () =>
  act(async () => {
    const made = (await request('makeCalendarLink')).link;
    token.value = made.token;
    link.value = { createdAt: made.createdAt };
  });
const end = () =>
  act(async () => {
    await request('endCalendarLink');
    token.value = null;
    link.value = null;
  });
onMounted(load);
</script>

<template>
  <section aria-label="Calendar" data-test="my-calendar">
    <h2>Your jobs in your calendar</h2>
    <p class="mt-1 max-w-[64ch]">
      A calendar program can follow your planned jobs and what you have to come back for. It reads a link;
      whoever has the link can read the same, so treat it as a key.
    </p>
    <FormProblem class="mt-2" :message="problem ?? copyProblem" />
    <div v-if="token" class="mt-3 flex flex-wrap items-start gap-4" data-test="calendar-link">
      <QrCode class="w-32 shrink-0" :text="subscribing" label="Code of the calendar" />
      <div class="min-w-0 max-w-lg flex-1">
        <p class="font-mono text-[13.5px] break-all">{{ address }}</p>
        <p class="hint mt-1">
          This link is shown once. Give it to your calendar as “subscribe to a calendar”, or point the camera
          of your phone at the code.
        </p>
        <p class="mt-2 flex flex-wrap items-center gap-4">
          <AppButton data-test="copy-calendar" @click="copy(address)">{{
            copied ? 'Copied' : 'Copy it'
          }}</AppButton>
          <a class="link inline-flex min-h-11 items-center" :href="subscribing">Open it in a calendar here</a>
        </p>
      </div>
    </div>
    <p v-else-if="link" class="mt-2">A link has been open since {{ localDate(link.createdAt) }}.</p>
    <p v-if="link !== undefined" class="mt-2 flex flex-wrap gap-x-4">
      <AppButton data-test="make-calendar" @click="make">{{
        link ? 'Make another, and end this one' : 'Make a link'
      }}</AppButton>
      <AppButton v-if="link" kind="quiet" data-test="end-calendar" @click="end">End the link</AppButton>
    </p>
  </section>
</template>
