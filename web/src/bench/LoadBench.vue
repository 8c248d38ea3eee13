<script setup lang="ts">
import { computed, ref } from 'vue';
import { expectedLoad, type HeaterConnection, type LoadKind } from '@brine/core/wiring/circuit';
import { parseNumber, printNumber } from '@brine/core/foundation/quantities';
import FormProblem from '../shared/ui/FormProblem.vue';
import { unreadNumber } from '../shared/display/unreadNumber.ts';

/** Amps and ohms of a fan or a coil by its plate; a heater's stand above. */
const kind = ref<LoadKind>('fan');
const power = ref('');
const amps = ref('');
const volts = ref('');
const connection = ref<HeaterConnection>('single');
const number = (text: string) => {
  const n = parseNumber(text);
  return n !== null && n > 0 ? n : null;
};
const problem = computed(() =>
  unreadNumber([
    { label: kind.value === 'coil' ? 'Plate, VA' : 'Plate, W', text: power.value, positive: true },
    { label: 'Plate, A', text: amps.value, positive: true },
    { label: 'V', text: volts.value, positive: true },
  ]),
);
const expected = computed(() => {
  const v = number(volts.value);
  return v === null || problem.value
    ? null
    : expectedLoad({
        kind: kind.value,
        power: number(power.value),
        amps: number(amps.value),
        volts: v,
        connection: connection.value,
      });
});
</script>

<template>
  <section aria-label="Fans and coils" data-test="load">
    <h2>Fans and coils</h2>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Load</span
        ><select v-model="kind" data-test="load-kind">
          <option value="fan">fan motor</option>
          <option value="coil">coil: contactor, valve</option>
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="field-label">Plate, {{ kind === 'coil' ? 'VA' : 'W' }}</span
        ><input v-model="power" class="w-24 font-mono" inputmode="decimal" data-test="load-power"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">or plate, A</span
        ><input v-model="amps" class="w-24 font-mono" inputmode="decimal"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">V</span
        ><input v-model="volts" class="w-24 font-mono" inputmode="decimal" data-test="load-volts"
      /></label>
      <label v-if="kind === 'fan'" class="flex flex-col gap-1"
        ><span class="field-label">Phases</span
        ><select v-model="connection">
          <option value="single">one</option>
          <option value="star">three</option>
        </select></label
      >
    </div>
    <FormProblem class="mt-3" :message="problem" />
    <p v-if="expected" class="mt-3" data-test="load-expected">
      <strong class="font-mono font-semibold">{{ printNumber(expected.amps, 2) }} A</strong>, good from
      {{ printNumber(expected.least, 2) }} to {{ printNumber(expected.most, 2) }} A;
      <template v-if="expected.ohms"
        ><strong class="font-mono font-semibold"
          >{{ printNumber(expected.ohms.least, 0) }} to {{ printNumber(expected.ohms.most, 0) }} Ω</strong
        >
        {{ expected.words }}.</template
      ><template v-else>{{ expected.words }}.</template>
    </p>
  </section>
</template>
