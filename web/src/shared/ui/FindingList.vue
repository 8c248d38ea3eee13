<script setup lang="ts">
import type { Finding, Remedy } from '@brine/core/judgement/checks';
import { useDisplay } from '../display/displayStore.ts';
import AppButton from './AppButton.vue';
import FindingLine from './FindingLine.vue';

/** Findings in their order; what mends one with a press stands under it, where the reader may write. */
defineProps<{
  findings: readonly (Finding & { readonly remedy?: Remedy | null })[];
  editable?: boolean;
}>();
const display = useDisplay();
defineEmits<{ take: [remedy: Remedy, finding: Finding] }>();
</script>

<template>
  <ul class="flex flex-col gap-2" data-test="findings">
    <FindingLine
      v-for="finding in findings"
      :key="finding.code + finding.settings.join()"
      :severity="finding.severity"
      :code="finding.code"
      :message="display.words(finding.message)"
    >
      <AppButton
        v-if="editable && finding.remedy"
        kind="quiet"
        class="mt-1 text-left"
        data-test="remedy"
        @click="$emit('take', finding.remedy, finding)"
        >Change: {{ display.words(finding.remedy.words) }}</AppButton
      >
    </FindingLine>
  </ul>
</template>
