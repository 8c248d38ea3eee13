<script setup lang="ts">
import { computed } from 'vue';
import type { UnitDescription } from '@brine/core/foundation/unit';
import type { Figures, PlantKind } from '@brine/core/machines/simulation';
import { energyOf, energyUnit } from '@brine/core/judgement/tuning';
import { written } from '@brine/core/foundation/regulation';
import { useDisplay } from '../../shared/display/displayStore.ts';

/** What runs amount to, side by side. */
const props = defineProps<{
  runs: readonly { readonly name: string; readonly figures: Figures }[];
  days: number;
  unit: UnitDescription;
  machine: PlantKind;
  /** What the unit's own box says stands above with its ranges: it is not told twice. */
  own?: boolean;
}>();
const display = useDisplay();
/** As the judgement writes it: one rounding for one number. */
const temperature = (celsius: number | null) =>
  celsius === null ? 'never' : display.show(written(celsius, display.unit));
const minutes = (value: number | null) =>
  value === null ? 'none' : `${value.toFixed(value < 10 ? 1 : 0)} min`;
const grams = (kg: number | null) => (kg === null ? 'no defrost' : `${Math.round(kg * 1000)} g`);
const rows = computed(() => {
  const water = props.machine === 'tank';
  return [
    line('Cut-in and cut-out seen', (f) => `${temperature(f.cutIn)} / ${temperature(f.cutOut)}`),
    ...told(line(water ? 'Water, warmest' : 'Product, warmest', (f) => temperature(f.product.max))),
    line(water ? 'Over its limit' : 'Product surface over its limit', (f) => minutes(f.minutesAbove)),
    line('First outside its limits after', (f) =>
      f.minutesUntilOutside === null ? 'never' : minutes(f.minutesUntilOutside),
    ),
    ...told(
      line('Starts an hour', (f) => f.startsPerHour.toFixed(1)),
      line('Running', (f) => `${Math.round(f.dutyPercent)} %`),
    ),
    line('Shortest off-cycle', (f) => minutes(f.shortestRestMinutes)),
    // A tank has no coil that frosts.
    ...(water ? [] : ofTheCoil()),
    ...told(
      line('Energy', (f) => {
        const value = energyOf(props.unit, f);
        return `${value.toFixed(value < 100 ? 1 : 0)} ${energyUnit(props.unit)}`;
      }),
    ),
    line(
      'Alarms',
      (f) =>
        Object.entries(f.alarms)
          .map(([cause, n]) => `${n} ${cause}`)
          .join(', ') || 'none',
    ),
  ];
});
const ofTheCoil = () => [
  line('Defrosts: by temperature / by time', (f) => `${f.defrosts.temperature} / ${f.defrosts.time}`),
  ...told(
    line('Longest defrost', (f) => minutes(f.longestDefrostMinutes)),
    line('Ice left after a defrost, at most', (f) => grams(f.iceLeftAfterDefrost)),
  ),
  line('Water left after the drip time, at most', (f) => grams(f.waterLeftAfterDrain)),
  line('Ice grown over the run', (f) => grams(f.iceGrown)),
];
/** What a learned box says with a range is told there alone. */
const told = (...lines: readonly ReturnType<typeof line>[]) => (props.own ? [] : lines);
function line(name: string, of: (figures: Figures) => string) {
  const values = props.runs.map((run) => of(run.figures));
  return { name, values, differs: new Set(values).size > 1 };
}
</script>

<template>
  <table class="table-plain" data-test="figures">
    <thead>
      <tr>
        <th>
          {{ days === 1 ? (own ? 'The day drawn above' : 'A day') : `${days} days` }}
          {{ machine === 'tank' ? 'of this water' : 'in this box' }}
        </th>
        <th v-for="run in runs" :key="run.name" class="!text-right">{{ run.name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.name" class="[&>td]:!py-1.5">
        <td>{{ row.name }}</td>
        <td
          v-for="(value, i) in row.values"
          :key="i"
          class="text-right font-mono text-[14px]"
          :class="{ 'font-semibold': row.differs }"
        >
          {{ value }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
