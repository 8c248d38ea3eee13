<script setup lang="ts">
import { computed } from 'vue';
import { endWords, wireIds, type Circuit } from '@brine/core/wiring/circuit';
import { isDirectCurrent } from '@brine/core/wiring/report';
import WireChip from './WireChip.vue';
import type { Liveness } from './liveness.ts';

const props = defineProps<{
  circuit: Circuit;
  shown: readonly string[];
  end: string | null;
  live: Liveness;
  state: string;
}>();
const picked = computed(() => {
  const ids = wireIds(props.circuit.wires);
  return props.circuit.wires.flatMap((wire, i) =>
    props.shown.includes(ids[i]!) ? [{ id: ids[i]!, wire }] : [],
  );
});
const highest = computed(() => Math.max(...props.circuit.supplies.map((s) => Math.abs(s.volts))));
const volts = (end: string) => {
  const value = props.live.volts.get(end);
  return value === undefined
    ? ''
    : value === null
      ? 'hangs on nothing'
      : `${value.toFixed(Math.abs(value) < 10 ? 1 : 0)} V to earth`;
};
const hint = computed(
  () =>
    `Bold wires stand under voltage to ${isDirectCurrent(props.circuit) ? 'minus' : 'earth'} in this state (up to ${highest.value} V), thin ones do not; a dot marks what works. Select a wire or a terminal to see both ends.`,
);
</script>

<template>
  <div aria-live="polite" data-test="wire-facts">
    <p v-if="picked.length === 0 && !end" class="hint">{{ hint }}</p>
    <p v-if="end" class="mb-1">
      <strong class="font-semibold">{{ endWords(circuit, end) }}</strong>, {{ volts(end) || 'dead' }}
    </p>
    <ul>
      <li
        v-for="{ id, wire } in picked"
        :key="id"
        class="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1.5"
      >
        <WireChip :label="wire.label ?? ''" :colour="wire.colour ?? ''" />
        <span>{{ endWords(circuit, wire.from) }} → {{ endWords(circuit, wire.to) }}</span>
        <span class="hint">{{
          [wire.gauge, wire.purpose, volts(wire.from)].filter(Boolean).join(' · ')
        }}</span>
      </li>
    </ul>
  </div>
</template>
