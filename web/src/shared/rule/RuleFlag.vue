<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { parseNumber } from '@brine/core/foundation/quantities';
import { useDisplay } from '../display/displayStore.ts';
import type { RuleMark } from './ruleMarks.ts';

const props = defineProps<{
  mark: RuleMark;
  text: string;
  shown: number;
  x: number;
  left: number;
  width: number;
  top: number;
  foot: number;
  /** Height of the flag, px. */
  tall: number;
  editable: boolean;
  perPixel: number;
}>();
const emit = defineEmits<{ move: [shown: number, done: boolean]; cancel: [] }>();

const display = useDisplay();
const problem = computed(() => props.mark.problem && display.words(props.mark.problem));
const typing = ref<string | null>(null);
const input = useTemplateRef<HTMLInputElement>('input');
const tones = {
  brine: 'bg-brine text-on-brine',
  cold: 'bg-cold text-on-flag',
  alarm: 'bg-alarm text-on-flag',
  soft: 'bg-soft text-paper',
  amber: 'bg-amber text-[#17282b]',
  good: 'bg-good text-on-flag',
};
const staffs = {
  brine: 'bg-brine',
  cold: 'bg-cold',
  alarm: 'bg-alarm',
  soft: 'bg-soft',
  amber: 'bg-amber',
  good: 'bg-good',
};
const look = computed(() => [
  tones[props.mark.tone],
  props.mark.problem ? 'outline-3 outline-alarm outline-offset-1' : '',
  props.editable ? 'cursor-grab active:cursor-grabbing' : '',
]);
const staff = computed(() => (props.mark.problem ? 'bg-alarm' : staffs[props.mark.tone]));

let start: { pointer: number; shown: number } | null = null;
let last = 0;
function down(event: PointerEvent) {
  if (!props.editable || event.button !== 0 || typing.value !== null) return;
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  start = { pointer: event.clientX, shown: props.shown };
  last = props.shown;
}
function drag(event: PointerEvent) {
  if (!start) return;
  const moved = event.clientX - start.pointer;
  if (Math.abs(moved) < 3 && last === start.shown) return;
  last = Math.round(start.shown + moved * props.perPixel);
  emit('move', last, false);
}
function up() {
  if (start && last !== start.shown) emit('move', last, true);
  else emit('cancel');
  start = null;
}
function stop() {
  start = null;
  emit('cancel');
}
async function key(event: KeyboardEvent) {
  if (!props.editable || typing.value !== null) return;
  const steps: Record<string, number> = {
    ArrowRight: 1,
    ArrowUp: 1,
    ArrowLeft: -1,
    ArrowDown: -1,
    PageUp: 5,
    PageDown: -5,
  };
  const by = steps[event.key];
  if (by !== undefined) emit('move', Math.round(props.shown) + by, true);
  else if (/^[-−\d]$/.test(event.key) || event.key === 'Enter')
    await type(event.key === 'Enter' ? '' : event.key);
  else return;
  event.preventDefault();
  event.stopPropagation();
}
async function type(first: string) {
  typing.value = first;
  await nextTick();
  input.value?.focus();
}
function take() {
  const value = parseNumber(typing.value ?? '');
  typing.value = null;
  if (value !== null) emit('move', value, true);
}
</script>

<template>
  <div
    class="absolute touch-none"
    :style="{ left: `${left}px`, top: `${top}px`, width: `${width}px` }"
    role="slider"
    :tabindex="editable ? 0 : -1"
    :aria-label="mark.label + (problem ? `. ${problem}` : '')"
    :aria-valuenow="Math.round(shown * 10) / 10"
    :aria-valuetext="text"
    :aria-disabled="!editable"
    :title="problem ?? mark.label"
    :data-mark="mark.id"
    @pointerdown="down"
    @pointermove="drag"
    @pointerup="up"
    @pointercancel="stop"
    @keydown="key"
    @dblclick="editable && type('')"
  >
    <div
      class="flex items-center justify-between gap-2 overflow-hidden px-1.5 font-head text-[13.5px] leading-none font-medium whitespace-nowrap"
      :class="look"
      :style="{ height: `${tall}px` }"
    >
      <span><span v-if="mark.problem" aria-hidden="true">! </span>{{ mark.label }}</span>
      <input
        v-if="typing !== null"
        ref="input"
        v-model="typing"
        class="!h-[17px] !min-h-0 w-12 !rounded-none !border-0 !p-0 text-right font-mono !text-ink"
        inputmode="text"
        :aria-label="`${mark.label}, degrees`"
        @keydown.enter.stop="take"
        @keydown.esc.stop="typing = null"
        @blur="take"
      />
      <span v-else class="font-mono text-[13px]">{{ text }}</span>
    </div>
  </div>
  <span
    class="absolute w-[2px]"
    :class="staff"
    :style="{ left: `${x - 1}px`, top: `${top}px`, height: `${foot - top}px` }"
    aria-hidden="true"
  ></span>
</template>
