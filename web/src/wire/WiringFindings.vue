<script setup lang="ts">
import type { WiringFinding } from '@brine/core/wiring/findings';
import FindingLine from '../shared/ui/FindingLine.vue';

defineProps<{ findings: readonly WiringFinding[] }>();
</script>

<template>
  <ul class="flex flex-col gap-2" data-test="wiring-findings">
    <FindingLine
      v-for="finding in findings"
      :key="finding.code + finding.state + finding.parts.join()"
      :severity="finding.severity"
      :code="finding.code"
      :message="finding.message"
    />
  </ul>
</template>
