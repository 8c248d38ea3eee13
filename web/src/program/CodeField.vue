<script setup lang="ts">
import { computed, toRef } from 'vue';
import { printScale, scaleOf, type CodeValue } from '@brine/core/controllers/definitions';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { keypadOf } from '../shared/ui/keypad.ts';
import { useCodeInput, type SetCode } from './useCodeInput.ts';

/** One code's value, typed or chosen as the control itself shows it. */
const props = defineProps<{ code: SetCode }>();
const emit = defineEmits<{ taken: [value: CodeValue] }>();
const job = useJob();
const session = useSession();
const { text, problem, options, commit, choose } = useCodeInput(
  toRef(() => props.code),
  (value) => emit('taken', value),
);
const label = computed(() => `${props.code.parameter.code}, ${props.code.parameter.name}, set to`);
const range = computed(() => {
  const { encoding } = props.code.parameter;
  return encoding.type === 'number' ? printScale(scaleOf(encoding, job.program.value.display!)) : '';
});
</script>

<template>
  <div>
    <select
      v-if="options"
      class="w-full max-w-[17rem]"
      :value="String(code.value)"
      :disabled="!session.mayWrite"
      :aria-label="label"
      @change="choose(($event.target as HTMLSelectElement).value)"
    >
      <option v-for="o in options" :key="o.value" :value="o.value">{{ o.name }}</option>
    </select>
    <template v-else>
      <input
        v-model="text"
        class="w-24 text-right font-mono font-semibold"
        :inputmode="keypadOf(code.parameter.encoding)"
        autocomplete="off"
        :disabled="!session.mayWrite"
        :aria-label="label"
        :aria-invalid="problem !== null"
        @change="commit"
        @keydown.enter.prevent="commit"
      />
      <span class="hint ml-2">{{ range }}</span>
    </template>
    <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
  </div>
</template>
