<script setup lang="ts">
import { computed, ref } from 'vue';
import { useDraft } from '../shared/ui/useDraft.ts';
import { readTyped, shownReading, typedForm } from './meterWords.ts';
import type { MeterLine } from './useMeter.ts';

const props = defineProps<{ line: MeterLine; open: boolean }>();
const emit = defineEmits<{ read: [value: number | null]; show: [] }>();
const stored = computed(() =>
  props.line.read === null ? '' : props.line.read >= 1e6 ? 'OL' : String(props.line.read),
);
const { text, settle } = useDraft(() => stored.value);
const problem = ref('');
const winding = computed(() => props.line.ground === 'winding');
const expected = computed(() =>
  winding.value ? 'some Ω' : shownReading(props.line.unit, props.line.expected),
);
const within = computed(() => {
  if (winding.value)
    return `${shownReading('ohm', props.line.expected * 0.05)} to ${shownReading('ohm', props.line.expected * 3)}`;
  if (props.line.unit === 'ohm' && props.line.expected >= 1e6) return '';
  return `± ${shownReading(props.line.unit, props.line.tolerance)}`;
});
const unit = computed(() => ({ V: 'V', A: 'A', ohm: 'Ω' })[props.line.unit]);
const verdict = computed(() =>
  props.line.verdict === 'right' ? '✓ right' : props.line.verdict === 'off' ? '✗ off' : '',
);
function take() {
  const plain = text.value.trim();
  const value = plain === '' ? null : readTyped(plain, props.line.unit);
  problem.value = plain !== '' && value === null ? `Expected ${typedForm[props.line.unit]}` : '';
  if (problem.value === '' && settle() && value !== props.line.read) emit('read', value);
}
</script>

<template>
  <tr :class="{ 'bg-alarm-wash': line.verdict === 'off' }" :data-place="line.key">
    <td class="!pr-2">
      <button type="button" class="text-left" :class="{ 'font-semibold': line.extra }" @click="$emit('show')">
        {{ line.words }}</button><span v-if="line.extra" class="hint block">to find the fault</span>
      <span v-if="problem" class="problem block" role="alert">{{ problem }}</span>
    </td>
    <td class="!pr-2 text-right font-mono whitespace-nowrap">
      {{ expected }}<span class="block text-[12px] text-soft">{{ within }}</span>
    </td>
    <td class="!pr-2 text-right whitespace-nowrap">
      <input
        v-model="text"
        class="w-[4.6rem] text-right font-mono"
        inputmode="decimal"
        :disabled="!open"
        :aria-label="`${line.words}, read in ${unit}`"
        :aria-invalid="problem !== ''"
        @change="take"
        @keydown.enter="take"
      />
    </td>
    <td
      class="!pr-0 text-[13.5px] font-medium whitespace-nowrap"
      :class="line.verdict === 'off' ? 'text-alarm' : 'text-good'"
      data-test="verdict"
    >
      {{ verdict }}
    </td>
  </tr>
</template>
