<script setup lang="ts">
import { computed } from 'vue';
import {
  parameterOf,
  type ControllerDefinition,
  type DisplayState,
} from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import { stillOpen, type BusWritten } from '../../shared/bus/useBusWriting.ts';

/** What became of values that were written over a bus, one by one. */
const props = defineProps<{
  control: ControllerDefinition;
  told: DisplayState;
  written: BusWritten;
}>();
const words = {
  written: '✓ written and read back',
  otherwise: '! it shows',
  refused: '! refused, it shows',
  notKnown: '! not known what stands there.',
  notWritten: '! not written.',
} as const;
const all = computed(() => props.written.written);
const open = computed(() => stillOpen(props.written));
const shows = (code: string, value: string | number) => {
  const parameter = parameterOf(props.control, code);
  return parameter ? printShown(parameter, value, props.told) : value;
};
</script>

<template>
  <div>
    <p role="status" data-test="bus-written">
      {{ all.length - open }} of {{ all.length }} written and read back.
      <template v-if="open > 0">{{ open }} {{ open === 1 ? 'stays' : 'stay' }} open.</template>
    </p>
    <ul class="mt-2 flex flex-col">
      <li
        v-for="one in all"
        :key="one.code"
        class="grid grid-cols-[4rem_minmax(0,1fr)] gap-x-2 border-b border-hairline py-1"
        :data-test="`became-${one.is}`"
      >
        <code class="font-mono">{{ one.code }}</code>
        <span :class="{ 'text-alarm': one.is !== 'written' }"
          >{{ shows(one.code, one.value) }} {{ words[one.is] }}
          <template v-if="one.found !== undefined">{{ one.found }}</template>
          {{ one.why }}</span
        >
      </li>
    </ul>
  </div>
</template>
