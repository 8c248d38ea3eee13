<script setup lang="ts">
import type { Finding, Remedy } from '@brine/core/advice';
import AppButton from './AppButton.vue';

/** Findings in their order; what mends one with a press stands under it, where the reader may write. */
defineProps<{
  findings: readonly (Finding & { readonly remedy?: Remedy | null })[];
  editable?: boolean;
}>();
defineEmits<{ take: [remedy: Remedy, finding: Finding] }>();
const words = { error: 'Will go wrong', warning: 'Look at this', note: 'Unusual' } as const;
const look = {
  error: 'border-alarm bg-alarm-wash',
  warning: 'border-amber bg-amber-wash',
  note: 'border-hairline bg-band',
} as const;
</script>

<template>
  <ul class="flex flex-col gap-2" data-test="findings">
    <li
      v-for="finding in findings"
      :key="finding.code + finding.settings.join()"
      class="border-l-4 px-3 py-2 text-[14.5px]"
      :class="look[finding.severity]"
      :data-code="finding.code"
    >
      <strong class="font-semibold">{{ words[finding.severity] }}. </strong>{{ finding.message }}
      <AppButton
        v-if="editable && finding.remedy"
        kind="quiet"
        class="mt-1 block"
        data-test="remedy"
        @click="$emit('take', finding.remedy, finding)"
        >Change: {{ finding.remedy.words }}</AppButton
      >
    </li>
  </ul>
</template>
