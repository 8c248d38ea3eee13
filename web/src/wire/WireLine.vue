<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import { endWords, type Circuit, type Wire } from '@brine/core/wiring/circuit';
import { gaugeAmps } from '@brine/core/wiring/findings';
import { useDraft } from '../shared/ui/useDraft.ts';
import WireChip from './WireChip.vue';
import { wireColours } from './wireColours.ts';

const props = defineProps<{
  id: string;
  wire: Wire;
  circuit: Circuit;
  found: Circuit;
  done: boolean;
  task: boolean;
  editable: boolean;
  shown: boolean;
}>();
const emit = defineEmits<{ mark: [done: boolean]; choose: [colour: string | null, gauge: string | null] }>();
/** Only new wires are free: what is there has its colour and its size. */
const free = computed(
  () => props.editable && (props.wire.change === 'new' || props.wire.change === 'jumper'),
);
const colours = Object.keys(wireColours);
const gauge = useDraft(() => String(props.wire.gauge ?? ''));
const problem = ref('');
function choose(colour: string | null) {
  const typed = gauge.text.value.trim();
  problem.value =
    typed !== '' && gaugeAmps(typed) === null ? 'Expected a size such as 14 AWG or 1.5 mm²' : '';
  if (problem.value === '' && (gauge.settle() || colour !== null))
    emit('choose', colour ?? props.wire.colour ?? null, typed || null);
}
const box = useId();
const ends = computed(
  () => `${endWords(props.circuit, props.wire.from)} → ${endWords(props.circuit, props.wire.to)}`,
);
const was = computed(() =>
  props.wire.was
    ? `was ${endWords(props.found, props.wire.was.from)} to ${endWords(props.found, props.wire.was.to)}`
    : '',
);
const details = computed(() =>
  [props.wire.gauge, props.wire.stripMm && `strip ${props.wire.stripMm} mm`, props.wire.purpose, was.value]
    .filter(Boolean)
    .join(' · '),
);
</script>

<template>
  <li
    class="grid grid-cols-[2.75rem_minmax(0,1fr)] items-center border-b border-hairline py-1.5"
    :class="{ 'bg-amber-wash': shown }"
    :data-wire="id"
  >
    <label v-if="task" :for="box" class="grid min-h-11 w-11 place-items-center">
      <input
        :id="box"
        type="checkbox"
        :checked="done"
        :disabled="!editable"
        :aria-label="`${wire.label ?? ''} ${ends}: done`"
        @change="$emit('mark', ($event.target as HTMLInputElement).checked)"
      />
    </label>
    <span v-else></span>
    <span class="min-w-0">
      <span class="flex flex-wrap items-center gap-x-3 gap-y-0.5">
        <WireChip :label="wire.label ?? ''" :colour="wire.colour ?? ''" />
        <span :class="{ 'text-soft': done || !task }">{{ ends }}</span>
      </span>
      <span class="hint block">{{ details }}</span>
      <details v-if="free" class="print:hidden">
        <summary class="link inline-block py-1 text-[13.5px]">Another colour or size</summary>
        <span class="flex flex-wrap items-center gap-2 pb-1">
          <select
            :value="wire.colour ?? ''"
            :aria-label="`${wire.label ?? ''} colour`"
            data-test="choose-colour"
            @change="choose(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="colour in colours" :key="colour" :value="colour">{{ colour }}</option>
          </select>
          <input
            v-model="gauge.text.value"
            class="w-28 font-mono"
            :aria-label="`${wire.label ?? ''} size`"
            data-test="choose-gauge"
            @change="choose(null)"
          />
          <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
        </span>
      </details>
    </span>
  </li>
</template>
