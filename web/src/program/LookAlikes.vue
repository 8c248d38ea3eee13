<script setup lang="ts">
import { computed } from 'vue';
import { printShown } from '@brine/core/record/handover';
import { useJob } from '../shared/job/useJob.ts';
import type { Cabinet } from './useCabinet.ts';

/** Codes that may be taken for this one on its display, with what they mean and what they must show. */
const props = defineProps<{ cabinet: Cabinet; code: string }>();
const job = useJob();
const others = computed(() =>
  (props.cabinet.alike.value.get(props.code) ?? []).map((other) => {
    const row = props.cabinet.rows.value.find((r) => r.code === other.code);
    const value = row ? printShown(row.parameter, row.value, job.program.value.display!) : null;
    return { code: other.code, name: other.name, value };
  }),
);
</script>

<template>
  <p v-if="others.length > 0" class="text-[14px]" data-test="look-alikes">
    <strong class="font-semibold">Easily mistaken for </strong>
    <template v-for="(o, i) in others" :key="o.code"
      ><template v-if="i > 0">; </template><span class="font-mono font-semibold">{{ o.code }}</span
      >, {{ o.name }}<template v-if="o.value !== null">, which must show {{ o.value }}</template></template
    >.
  </p>
</template>
