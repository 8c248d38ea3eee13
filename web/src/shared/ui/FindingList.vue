<script setup lang="ts">
import type { Finding, Remedy } from '@brine/core/judgement/checks';
import type { AnyRemedy } from '@brine/core/judgement/verdict';
import { useDisplay } from '../display/displayStore.ts';
import AppButton from './AppButton.vue';
import FindingLine from './FindingLine.vue';

/** Findings in their order; what mends one with a press stands under it, where the reader may write. */
defineProps<{
  findings: readonly (Finding & { readonly remedy?: AnyRemedy | null; readonly consequenceOf?: string })[];
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
      <p v-if="finding.consequenceOf" class="text-[14px] text-soft">
        It follows from the finding above and goes with it.
      </p>
      <p v-if="finding.remedy && 'work' in finding.remedy" class="mt-1 text-[14px]" data-test="work-remedy">
        {{ display.words(finding.remedy.words) }}
      </p>
      <AppButton
        v-else-if="editable && finding.remedy"
        kind="quiet"
        class="mt-1 text-left"
        data-test="remedy"
        @click="$emit('take', finding.remedy, finding)"
        >Change: {{ display.words(finding.remedy.words) }}</AppButton
      >
    </FindingLine>
  </ul>
</template>
