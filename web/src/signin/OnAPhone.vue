<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import type { Phones } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import FormProblem from '../shared/ui/FormProblem.vue';
import QrCode from '../shared/ui/QrCode.vue';

/** How a phone comes to Brine Dial: by its camera, and where the certificate is made here by trusting it first. */
const phones = ref<Phones | null | undefined>(undefined);
const problem = ref<string | null>(null);
onMounted(async () => {
  try {
    phones.value = (await request('phones')).phones;
  } catch (error) {
    problem.value = messageOf(error);
  }
});
/** A browser on the machine itself calls it by a name that means the phone, on the phone. */
const hereAlone = ['localhost', '127.0.0.1', '[::1]'].includes(location.hostname);
const address = computed(() => phones.value?.address ?? (hereAlone ? null : location.origin));
const trust = computed(() => phones.value?.trust ?? null);
/** In groups that the eye can hold against the phone. */
const fingerprint = computed(() =>
  (trust.value?.fingerprint.replaceAll(':', '').match(/.{1,16}/g) ?? []).map((row) =>
    row.match(/.{1,4}/g)!.join(' '),
  ),
);
</script>

<template>
  <section aria-label="On a phone" data-test="on-a-phone">
    <h2>On a phone</h2>
    <FormProblem class="mt-2" :message="problem" />
    <p v-if="phones !== undefined && address === null" class="mt-1 max-w-[60ch]">
      Brine Dial serves this computer alone. Whoever runs it starts it with
      <code class="font-mono">--lan</code>; then a code stands here for the camera of your phone.
    </p>
    <ol v-else-if="address" class="mt-2 flex flex-wrap gap-x-12 gap-y-6">
      <li v-if="trust" class="flex max-w-md items-start gap-4">
        <QrCode class="w-36 shrink-0" :text="trust.page" label="Code of the page of trust" />
        <div>
          <p class="font-semibold">1. Trust the certificate, once for each phone</p>
          <p class="mt-1">
            Point the camera here and follow the page. It shows this fingerprint; another one means that
            somebody stands between:
          </p>
          <p class="mt-1 font-mono text-[14px]">
            <span v-for="row in fingerprint" :key="row" class="block">{{ row }}</span>
          </p>
          <p class="hint mt-1 break-all">{{ trust.page }}</p>
        </div>
      </li>
      <li class="flex max-w-md items-start gap-4">
        <QrCode class="w-36 shrink-0" :text="address" label="Code of Brine Dial" />
        <div>
          <p class="font-semibold">{{ trust ? '2. ' : '' }}Open Brine Dial</p>
          <p class="mt-1">
            Sign in there, then put the page on the home screen: from there it starts without signal.
          </p>
          <p class="hint mt-1 break-all">{{ address }}</p>
        </div>
      </li>
    </ol>
  </section>
</template>
