<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { isDangerousLoss } from '@brine/core/controllers/translate';
import { settingOf } from '@brine/core/foundation/settings';
import { useJob } from '../shared/job/useJob.ts';

/** Said before anything is keyed in: protection that the plan has and this control has not. */
const job = useJob();
const grave = computed(() => job.program.value.lost.filter((l) => isDangerousLoss(l.setting)));
/** Nobody said what this control does there: no reason for red, but for a look. */
const unsaid = computed(() => job.program.value.notStated.filter((id) => isDangerousLoss(id)));
</script>

<template>
  <div v-if="grave.length + unsaid.length > 0" class="flex flex-col gap-2">
    <p
      v-if="grave.length > 0"
      class="border-l-4 border-alarm bg-alarm-wash px-3 py-2 font-medium"
      role="alert"
      data-test="grave-losses"
    >
      ✗ This control cannot hold: {{ grave.map((l) => settingOf(l.setting).label.toLowerCase()).join(', ') }}.
      <RouterLink class="link" :to="`/jobs/${job.id}/program/compare`">What that means</RouterLink>
    </p>
    <p v-if="unsaid.length > 0" class="border-l-4 border-amber bg-amber-wash px-3 py-2" data-test="unsaid">
      Not stated by its booklet: {{ unsaid.map((id) => settingOf(id).label.toLowerCase()).join(', ') }}. Try
      it at the control, and add it to the controller.
    </p>
  </div>
</template>
