<script setup lang="ts">
import { computed, ref } from 'vue';
import { readTypedCode, type CodeValue, type DisplayState } from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';

const props = defineProps<{ asking: 'showsElse' | 'skip'; row: ProgramRow; display: DisplayState }>();
const emit = defineEmits<{
  close: [];
  showsElse: [shown: string];
  leaveAt: [value: CodeValue];
  skip: [why: string];
}>();
const job = useJob();
const text = ref('');
const other = computed(() => props.asking === 'showsElse');
const title = computed(() =>
  other.value ? `What does the display show at ${props.row.code}?` : `Why is ${props.row.code} skipped?`,
);
/** What was typed, where the code may be set so. */
const read = computed(() =>
  other.value && text.value.trim() !== ''
    ? readTypedCode(job.replacement.value!, props.row.parameter, text.value, props.display)
    : null,
);
const value = computed(() => (read.value && 'value' in read.value ? read.value.value : null));
function leave() {
  if (value.value !== null) emit('leaveAt', value.value);
  emit('close');
}
function take() {
  if (other.value && text.value.trim() === '') return;
  if (other.value) emit('showsElse', text.value);
  else emit('skip', text.value);
  emit('close');
}
</script>

<template>
  <ModalDialog :open="true" :title="title" @close="emit('close')">
    <form class="flex flex-col gap-4" @submit.prevent="take">
      <p v-if="other" class="hint">
        {{ row.parameter.name }} was to be {{ printShown(row.parameter, row.value, display) }}. What it really
        shows stands on the sheet.
      </p>
      <input
        v-model="text"
        class="text-[18px]"
        :class="{ 'font-mono': other }"
        :aria-label="title"
        data-test="say-input"
        autocomplete="off"
      />
      <p v-if="read && 'problem' in read" class="hint">{{ read.problem }}.</p>
      <div class="flex flex-wrap gap-3">
        <AppButton
          kind="primary"
          type="submit"
          :disabled="other && text.trim() === ''"
          data-test="say-take"
          >{{ other ? 'It shows this' : 'Skip it' }}</AppButton
        >
        <AppButton v-if="value !== null" data-test="say-leave" @click="leave"
          >Leave it at {{ printShown(row.parameter, value, display) }}</AppButton
        >
        <AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
