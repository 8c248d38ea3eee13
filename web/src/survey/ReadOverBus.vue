<script setup lang="ts">
import { shallowRef } from 'vue';
import type { SheetRow } from '@brine/core/controllers/definitions';
import LineChoice from '../shared/bus/LineChoice.vue';
import type { BusFound } from '../shared/bus/foundOverBus.ts';
import { useBusLine } from '../shared/bus/useBusLine.ts';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** Reads all values of the control as found over its bus. */
const emit = defineEmits<{ found: [rows: readonly SheetRow[]] }>();
const job = useJob();
const on = useBusLine();
const found = shallowRef<BusFound | null>(null);

async function read() {
  found.value = await on.read(job.oldPin.value!.hash);
  const rows = found.value?.values.map(({ code, value }, i) => ({ line: i + 1, code, value: String(value) }));
  if (rows) emit('found', rows);
}
</script>

<template>
  <section
    class="border-l-4 border-cold bg-band p-3"
    aria-label="Read over the bus"
    data-test="read-over-bus"
  >
    <LineChoice :on="on">
      <AppButton kind="primary" :disabled="on.isBusy.value" data-test="bus-read" @click="read"
        >Read all values</AppButton
      >
    </LineChoice>
    <template v-if="found">
      <p class="mt-2" role="status" data-test="bus-read-words">
        ✓ {{ found.values.length }} {{ found.values.length === 1 ? 'value' : 'values' }} read in
        {{ found.requests }} {{ found.requests === 1 ? 'request' : 'requests' }}. They stand below as found.
      </p>
      <p v-if="found.unread.length > 0" class="mt-1 text-alarm" data-test="bus-unread">
        ! {{ found.unread.length }} not read, to be read off the display:
        <span v-for="one in found.unread" :key="one.code" class="block"
          ><code class="font-mono">{{ one.code }}</code> – {{ one.why }}</span
        >
      </p>
    </template>
  </section>
</template>
