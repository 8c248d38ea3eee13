<script setup lang="ts">
import { shallowRef } from 'vue';
import LineChoice from '../shared/bus/LineChoice.vue';
import { useBusLine, type BusFound } from '../shared/bus/useBusLine.ts';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** Reads all values of the control as found over its bus, and keeps them as such. */
const job = useJob();
const on = useBusLine();
const found = shallowRef<BusFound | null>(null);
const kept = shallowRef(false);

async function read() {
  found.value = null;
  kept.value = false;
  const answer = await on.read(job.oldPin.value!.hash);
  if (!answer) return;
  found.value = answer;
  // What stands in the control is the record's, whoever reads it; nothing is keyed or written by that.
  await job.write(
    ...answer.values.map(({ code, value }) => ({
      kind: 'found' as const,
      code,
      value: String(value),
      over: 'bus' as const,
    })),
  );
  kept.value = true;
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
        {{ found.requests }} {{ found.requests === 1 ? 'request' : 'requests'
        }}{{ kept ? ', kept as found' : '' }}.
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
