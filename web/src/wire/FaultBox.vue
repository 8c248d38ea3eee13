<script setup lang="ts">
import { computed } from 'vue';
import { laterKinds, wiresOfFault } from '@brine/core/wiring/faults';
import type { Circuit } from '@brine/core/wiring/circuit';
import AppButton from '../shared/ui/AppButton.vue';
import { placeWords, shownReading } from './meterWords.ts';
import { stateWords } from './terminalWords.ts';
import type { useMeter } from './useMeter.ts';

const props = defineProps<{ meter: ReturnType<typeof useMeter>; circuit: Circuit }>();
const emit = defineEmits<{ state: [state: string]; show: [wires: readonly string[]] }>();
const finder = computed(() => props.meter.finder);
const diagnosis = computed(() => finder.value.diagnosis.value);
const running = computed(() => finder.value.running.value);
const first = computed(() => (diagnosis.value?.faults ?? []).filter((f) => f.rank === 1));
const others = computed(() =>
  (diagnosis.value?.faults ?? []).filter((f) => f.rank > 1 && f.explains === f.of).slice(0, 4),
);
const rest = computed(() =>
  diagnosis.value
    ? diagnosis.value.faults.filter((f) => f.rank > 1 && f.explains === f.of).length - others.value.length
    : 0,
);
const next = computed(() => props.meter.next.value);
const usual = computed(() => first.value.filter((f) => !laterKinds.has(f.fault.kind)).length);
/** Only once pairs were tried as well can it be said. */
const nothingFits = computed(() => diagnosis.value?.fits === false && finder.value.whole.value);
const title = computed(() => {
  if (!diagnosis.value) return '';
  if (nothingFits.value) return 'Nothing fits.';
  if (!diagnosis.value.fits) return 'No usual fault explains all of it; nearest:';
  return first.value.length === 1 ? 'Most likely:' : `${first.value.length} faults explain it equally well:`;
});
const percent = computed(() => Math.round(finder.value.share.value * 100));
const wires = computed(() => [...new Set(first.value.flatMap((f) => wiresOfFault(f.fault)))]);
const told = computed(() => {
  if (!next.value) return [];
  const values = new Map<string, number>();
  for (const { reads } of next.value.expect) {
    const words = shownReading(reads.unit as never, reads.value);
    values.set(words, (values.get(words) ?? 0) + 1);
  }
  return [...values].slice(0, 4).map(([value, count]) => `${value} leaves ${count}`);
});
</script>

<template>
  <section
    v-if="meter.anyOff.value"
    class="border-l-4 border-alarm bg-alarm-wash px-3 py-2.5"
    aria-label="Fault finder"
    data-test="fault-finder"
  >
    <p v-if="finder.problem.value" role="alert">{{ finder.problem.value }}</p>
    <template v-if="diagnosis">
      <p>
        <strong class="font-semibold">{{ title }}</strong>
        <template v-if="nothingFits">
          No fault and no two faults explain all readings. Read the odd one again, or trace the wires
          anew.</template
        >
        <template v-else-if="first.length === 1"> {{ first[0]!.message }}</template>
      </p>
      <ul v-if="!nothingFits && first.length > 1" class="mt-1 list-disc pl-5">
        <li v-for="fault in first.slice(0, 6)" :key="fault.message">{{ fault.message }}</li>
        <li v-if="first.length > 6">and {{ first.length - 6 }} more</li>
      </ul>
      <p v-if="!nothingFits && others.length > 0 && usual <= 1" class="hint mt-1.5">
        Rarer, and explain it too: {{ others.map((f) => f.message).join(' ')
        }}{{ rest > 0 ? ` And ${rest} more.` : '' }}
      </p>
      <p v-if="next && diagnosis.fits" class="mt-2">
        <strong class="font-semibold">Read next:</strong> {{ placeWords(circuit, next) }},
        {{ stateWords(next.state).toLowerCase() }}. <span class="hint">{{ told.join(', ') }}.</span>
      </p>
      <p v-else-if="diagnosis.fits && !running" class="hint mt-2">
        No further reading in the cabinet can tell more.
      </p>
      <div class="mt-1.5 flex flex-wrap gap-2">
        <AppButton v-if="next && diagnosis.fits" kind="primary" @click="emit('state', next.state)"
          >Go to that reading</AppButton
        >
        <AppButton v-if="wires.length > 0" @click="emit('show', wires)">Show on the diagram</AppButton>
      </div>
    </template>
    <div v-if="running" class="mt-2" role="status">
      <p class="hint">
        {{ diagnosis ? 'Rarer faults and pairs' : 'Looking for the fault' }} … {{ percent }} %
      </p>
      <progress class="bar w-full" :value="percent" max="100"></progress>
      <AppButton kind="quiet" class="!px-0" @click="finder.stop()">Stop</AppButton>
    </div>
    <p v-else-if="!finder.whole.value" class="hint mt-2">
      Rarer faults were not tried.
      <AppButton kind="quiet" class="!px-0" @click="finder.run()">Look for all of them</AppButton>
    </p>
  </section>
</template>
