<script setup lang="ts">
import { computed, ref } from 'vue';
import { readTypedCode, type CodeValue, type DisplayState } from '@brine/core/controllers/definitions';
import { machineOf } from '@brine/core/controllers/panel';
import { printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import TakeRead from '../shared/watch/TakeRead.vue';

/** The display shows something else: another code, a value, the standard display, or it cannot be set. From there the strokes go on. */
const props = defineProps<{ row: ProgramRow; rows: readonly ProgramRow[]; display: DisplayState }>();
const emit = defineEmits<{
  close: [];
  standAt: [code: string | null];
  showsValue: [value: CodeValue];
  stays: [shown: string];
  leaveAt: [value: CodeValue];
  skip: [why: string];
  findOut: [];
}>();
const job = useJob();
const hasPanel = computed(() => job.replacement.value !== null && machineOf(job.replacement.value) !== null);
const text = ref('');
const why = ref('');
const typed = computed(() => text.value.trim());
const code = computed(
  () => props.rows.find((row) => row.code.toLowerCase() === typed.value.toLowerCase())?.code ?? null,
);
const read = computed(() =>
  typed.value === ''
    ? null
    : readTypedCode(job.replacement.value!, props.row.parameter, typed.value, props.display),
);
const value = computed(() => (read.value && 'value' in read.value ? read.value.value : null));
function end(say: () => void) {
  say();
  emit('close');
}
</script>

<template>
  <ModalDialog :open="true" title="What does the display show?" @close="emit('close')">
    <form class="flex flex-col gap-3" @submit.prevent>
      <input
        v-model="text"
        class="!min-h-14 font-mono !text-[26px]"
        aria-label="What the display shows"
        inputmode="text"
        autocomplete="off"
        autocapitalize="off"
        data-test="say-input"
      />
      <TakeRead @read="text = $event" />
      <p v-if="read && 'problem' in read && code === null" class="hint">{{ read.problem }}.</p>
      <AppButton
        v-if="code !== null"
        kind="primary"
        wide
        class="!min-h-14"
        data-test="at-code"
        @click="end(() => emit('standAt', code))"
        >It stands at {{ code }}: strokes from there</AppButton
      >
      <template v-if="value !== null">
        <AppButton
          kind="primary"
          wide
          class="!min-h-14"
          data-test="at-value"
          @click="end(() => emit('showsValue', value!))"
          >The value is {{ printShown(row.parameter, value, display) }}: turn on from there</AppButton
        >
        <AppButton wide class="!min-h-14" data-test="say-leave" @click="end(() => emit('leaveAt', value!))"
          >Leave it at {{ printShown(row.parameter, value, display) }}</AppButton
        >
      </template>
      <AppButton
        v-if="typed !== ''"
        wide
        class="!min-h-14"
        data-test="say-take"
        @click="end(() => emit('stays', text))"
        >It cannot be set: it stays at “{{ typed }}”</AppButton
      >
      <AppButton wide class="!min-h-14" data-test="at-rest" @click="end(() => emit('standAt', null))"
        >The standard display: the menu has closed</AppButton
      >
      <AppButton
        v-if="hasPanel"
        wide
        class="!min-h-14"
        data-test="find-out-kept"
        @click="end(() => emit('findOut'))"
        >Broken off: find out what the control kept</AppButton
      >
      <div class="mt-2 flex gap-2 border-t border-hairline pt-3">
        <input
          v-model="why"
          class="!min-h-12 min-w-0 flex-1"
          placeholder="Or skip it: say why"
          aria-label="Why it is skipped"
          data-test="skip-why"
        />
        <AppButton
          class="!min-h-12"
          :disabled="why.trim() === ''"
          data-test="skip-take"
          @click="end(() => emit('skip', why))"
          >Skip</AppButton
        >
      </div>
    </form>
  </ModalDialog>
</template>
