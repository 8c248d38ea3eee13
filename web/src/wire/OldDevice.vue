<script setup lang="ts">
import { computed } from 'vue';
import { oldTerminals } from '@brine/core/wiring/conversion';
import { useJob } from '../shared/job/useJob.ts';

const job = useJob();
const terminals = computed(() => (job.wiring.value.found ? oldTerminals(job.wiring.value.found) : []));
</script>

<template>
  <section v-if="terminals.length > 0" aria-label="The device that comes out" data-test="old-device">
    <h3>The device that comes out</h3>
    <ul class="mt-1 border-t border-ink">
      <li v-for="t in terminals" :key="t.end" class="flex gap-3 border-b border-hairline py-1.5">
        <span class="w-14 shrink-0 font-mono text-[13px] font-semibold">{{ t.label }}</span>
        <span class="min-w-0"
          >{{ t.words
          }}<strong v-if="t.switched" class="font-semibold">: switched, no supply for a control</strong>
          <span class="hint block">{{ t.part }}</span></span
        >
      </li>
    </ul>
  </section>
</template>
