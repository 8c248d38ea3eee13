<script setup lang="ts">
import { computed, ref } from 'vue';
import { explainReading, menuSensors, sensorOf, shownFor, ohmsAt } from '@brine/core/foundation/probes';
import { quantity, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';

/** What the display would read with the wrong type in the menu, and back from a strange reading to the type. */
const display = useDisplay();
const truth = ref('');
const shown = ref('');
const celsius = (text: string) => {
  const read = readTemperature(text.trim(), display.unit);
  return read.ok ? valueIn(read.value, 'degC') : null;
};
const trueC = computed(() => celsius(truth.value));
const grid = computed(() =>
  trueC.value === null
    ? []
    : menuSensors.map((fitted) => ({
        fitted,
        cells: menuSensors.map((set) => {
          const s = shownFor(set, ohmsAt(fitted.curve, trueC.value!));
          return s.shows === 'temperature'
            ? display.show(quantity(Math.round(s.celsius * 10) / 10, 'degC'))
            : s.shows;
        }),
      })),
);
const likely = computed(() => {
  const [t, s] = [trueC.value, celsius(shown.value)];
  return t === null || s === null ? [] : explainReading(s, t).slice(0, 3);
});
</script>

<template>
  <section aria-label="Wrong type" data-test="wrong-type">
    <h3>A display that reads tens of degrees off</h3>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">True, {{ display.symbol }}</span
        ><input v-model="truth" class="w-28 font-mono" inputmode="decimal" data-test="true-temperature"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Display shows, {{ display.symbol }}</span
        ><input v-model="shown" class="w-28 font-mono" inputmode="decimal" data-test="strange-reading"
      /></label>
    </div>
    <ul v-if="likely.length > 0" class="mt-2 list-disc pl-5" data-test="likely-type">
      <li v-for="m in likely" :key="m.fitted.id + m.set.id">
        <template v-if="m.fitted.id === m.set.id"
          >{{ m.set.name }} fitted and set: the type is right, the reading is
          {{ display.show(quantity(Math.round(Math.abs(m.missK) * 10) / 10, 'K')) }} off.</template
        >
        <template v-else
          >{{ m.fitted.name }} is fitted, {{ sensorOf(m.set.id)?.name }} stands in the menu.</template
        >
      </li>
    </ul>
    <p v-else-if="celsius(shown) !== null && trueC !== null" class="mt-2">
      No pair of types explains it: look at the lead, at water, at the terminal.
    </p>
    <div v-if="grid.length > 0" class="mt-2 overflow-x-auto">
      <table class="table-plain min-w-[28rem]">
        <thead>
          <tr>
            <th>Fitted</th>
            <th v-for="s in menuSensors" :key="s.id" class="!text-right">set {{ s.id }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in grid" :key="row.fitted.id">
            <td>{{ row.fitted.name }}</td>
            <td
              v-for="(cell, i) in row.cells"
              :key="i"
              class="text-right font-mono whitespace-nowrap"
              :class="{ 'font-semibold': menuSensors[i]!.id === row.fitted.id }"
            >
              {{ cell }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
