<script setup lang="ts">
import { printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CodeField from './CodeField.vue';

/** A code nobody planned: it is not keyed in before somebody has decided. */
defineProps<{ row: ProgramRow }>();
const emit = defineEmits<{ leave: [] }>();
const job = useJob();
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-3 border-l-4 border-amber bg-amber-wash px-3 py-2"
    data-test="decide-first"
  >
    <p>Not planned yet. Decide before it is keyed in.</p>
    <AppButton data-test="leave-default" @click="emit('leave')"
      >Leave it at
      <span class="font-mono">{{
        printShown(row.parameter, row.value, job.program.value.display!)
      }}</span></AppButton
    >
    <span>or set it to</span>
    <CodeField :code="row" />
  </div>
</template>
