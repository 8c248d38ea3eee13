<script setup lang="ts">
import { computed, ref } from 'vue';
import { placements, type ProbeUse } from '@brine/core/foundation/probes';

const use = ref<ProbeUse>('returnAir');
const chosen = computed(() => placements.find((p) => p.use === use.value)!);
</script>

<template>
  <section aria-label="Placement" data-test="placement">
    <h3>Where it goes</h3>
    <label class="mt-2 flex items-center gap-3"
      ><span class="sr-only">Use of the probe</span
      ><select v-model="use">
        <option v-for="p in placements" :key="p.use" :value="p.use">{{ p.name }}</option>
      </select></label
    >
    <dl class="mt-2 grid grid-cols-[4.5rem_1fr] gap-x-3 gap-y-1.5 text-[14.5px]">
      <dt class="text-soft">Where</dt>
      <dd>{{ chosen.where }}</dd>
      <dt class="text-soft">Hold</dt>
      <dd>{{ chosen.hold }}</dd>
      <dt class="text-soft">Avoid</dt>
      <dd>{{ chosen.avoid }}</dd>
      <dt class="text-soft">Proof</dt>
      <dd>{{ chosen.proof }}</dd>
    </dl>
  </section>
</template>
