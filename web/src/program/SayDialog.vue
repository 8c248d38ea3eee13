<script setup lang="ts">
import { computed, ref } from 'vue';
import type { DisplayState } from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';
import AppButton from '../shared/ui/AppButton.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';

const props = defineProps<{ asking: 'showsElse' | 'skip'; row: ProgramRow; display: DisplayState }>();
const emit = defineEmits<{ close: []; showsElse: [shown: string]; skip: [why: string] }>();
const text = ref('');
const other = computed(() => props.asking === 'showsElse');
const title = computed(() =>
  other.value ? `What does the display show at ${props.row.code}?` : `Why is ${props.row.code} skipped?`,
);
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
      <div class="flex gap-3">
        <AppButton
          kind="primary"
          type="submit"
          :disabled="other && text.trim() === ''"
          data-test="say-take"
          >{{ other ? 'It shows this' : 'Skip it' }}</AppButton
        >
        <AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
