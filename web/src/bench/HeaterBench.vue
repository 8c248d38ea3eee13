<script setup lang="ts">
import { computed, ref } from 'vue';
import { expectedAmps, recogniseHeater, type HeaterConnection } from '@brine/core/wiring/circuit';
import { parseNumber, printNumber } from '@brine/core/foundation/quantities';
import CautionNote from '../shared/ui/CautionNote.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { unreadNumber } from '../shared/display/unreadNumber.ts';

/** Amps and ohms a heater should have by its plate, and what the clamp says is the matter. */
const watts = ref('');
const volts = ref('');
const connection = ref<HeaterConnection>('single');
const elements = ref('1');
const measuredVolts = ref('');
const amps = ref(['', '', '']);
const number = (text: string) => parseNumber(text);
const lines = computed(() => (connection.value === 'single' ? 1 : 3));
const clampLabel = (i: number) => `Clamp${lines.value === 3 ? `, line ${i + 1}` : ''}, A`;
/** Only the fields that are on the page: what is hidden cannot be mended. */
const problem = computed(() =>
  unreadNumber([
    { label: 'Plate, W', text: watts.value, positive: true },
    { label: 'Plate, V', text: volts.value, positive: true },
    ...(connection.value === 'single'
      ? [{ label: 'Elements side by side', text: elements.value, positive: true }]
      : []),
    { label: 'Measured, V', text: measuredVolts.value },
    ...amps.value.slice(0, lines.value).map((text, i) => ({ label: clampLabel(i), text })),
  ]),
);
const plate = computed(() => {
  if (problem.value) return null;
  const [w, v] = [number(watts.value), number(volts.value)];
  const n = connection.value === 'single' ? (number(elements.value) ?? 1) : 3;
  return w !== null && v !== null && w > 0 && v > 0 && n >= 1
    ? { watts: w, volts: v, connection: connection.value, elements: Math.round(n) }
    : null;
});
const applied = computed(() => number(measuredVolts.value) ?? plate.value?.volts ?? 0);
const expected = computed(() => (plate.value ? expectedAmps(plate.value, applied.value) : null));
const measured = computed(() => amps.value.slice(0, lines.value).map(number));
const verdicts = computed(() =>
  plate.value && measured.value.every((a) => a !== null)
    ? recogniseHeater(plate.value, measured.value, applied.value)
    : [],
);
const best = computed(() => verdicts.value[0] ?? null);
</script>

<template>
  <section aria-label="Heater" data-test="heater">
    <h2>Heaters: amps, ohms, and what is open</h2>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Plate, W</span
        ><input v-model="watts" class="w-28 font-mono" inputmode="decimal" data-test="heater-watts"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Plate, V</span
        ><input v-model="volts" class="w-24 font-mono" inputmode="decimal" data-test="heater-volts"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Phases</span>
        <select v-model="connection" data-test="heater-connection">
          <option value="single">one</option>
          <option value="star">three, star</option>
          <option value="delta">three, delta</option>
        </select></label
      >
      <label v-if="connection === 'single'" class="flex flex-col gap-1"
        ><span class="field-label">Elements side by side</span
        ><input v-model="elements" class="w-20 font-mono" inputmode="numeric"
      /></label>
    </div>
    <p v-if="expected" class="mt-3" data-test="heater-expected">
      Whole: <strong class="font-mono font-semibold">{{ printNumber(expected.amps[0]!, 2) }} A</strong
      >{{ lines === 3 ? ' in each line' : '' }}, good from {{ printNumber(expected.least[0]!, 1) }} to
      {{ printNumber(expected.most[0]!, 1) }} A;
      <strong class="font-mono font-semibold">{{ printNumber(expected.ohms, 1) }} Ω</strong> cold{{
        lines === 3 ? ' between any two lines' : ''
      }}.
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Measured, V</span
        ><input v-model="measuredVolts" class="w-24 font-mono" inputmode="decimal" :placeholder="volts"
      /></label>
      <label v-for="i in lines" :key="i" class="flex flex-col gap-1"
        ><span class="field-label">{{ clampLabel(i - 1) }}</span
        ><input
          v-model="amps[i - 1]"
          class="w-24 font-mono"
          inputmode="decimal"
          :data-test="`heater-amps-${i}`"
      /></label>
    </div>
    <FormProblem class="mt-3" :message="problem" />
    <p v-if="best && best.off <= 1" class="mt-3 font-medium" aria-live="polite" data-test="heater-verdict">
      {{ best.pattern.state === 'whole' ? '✓ The heater is whole.' : `✗ ${best.pattern.words}.` }} It gives
      {{ printNumber(best.pattern.watts, 0) }} W.
    </p>
    <p v-else-if="best" class="mt-3 font-medium" aria-live="polite" data-test="heater-verdict">
      Nothing here explains it; nearest: {{ best.pattern.words }}. Look at the plate and the volts again.
    </p>
    <table v-if="verdicts.length > 0" class="table-plain mt-2">
      <thead>
        <tr>
          <th>If it is</th>
          <th class="!text-right">Lines, A</th>
          <th class="!text-right">W</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="v in verdicts" :key="v.pattern.state">
          <td>{{ v.pattern.words }}</td>
          <td class="text-right font-mono">{{ v.pattern.amps.map((a) => printNumber(a, 1)).join(' / ') }}</td>
          <td class="!pr-0 text-right font-mono">{{ printNumber(v.pattern.watts, 0) }}</td>
        </tr>
      </tbody>
    </table>
    <CautionNote class="mt-3"
      >Clamp readings are live work: only by a qualified person with rated meter and leads. Measure ohms with
      the supply isolated and proven dead. One opened limit is no dead heater.</CautionNote
    >
  </section>
</template>
