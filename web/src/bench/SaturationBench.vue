<script setup lang="ts">
import { estimates, fluids } from '@brine/core/foundation/refrigerants';
import { useDisplay } from '../shared/display/displayStore.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import { useSaturation } from './useSaturation.ts';

const display = useDisplay();
const { id, fluid, gaugeUnit, from, typed, elevation, line, problem, sides, departures, chart, glides } =
  useSaturation();
const ways = [
  { id: 'temperature' as const, name: 'From temperature' },
  { id: 'gauge' as const, name: 'From the gauge' },
];
const units = [
  { id: 'psi' as const, name: 'psi' },
  { id: 'bar' as const, name: 'bar' },
];
</script>

<template>
  <section aria-label="Saturation" data-test="saturation">
    <h2>Saturation</h2>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Refrigerant</span>
        <select v-model="id" data-test="refrigerant">
          <option v-for="f in fluids" :key="f.id" :value="f.id">{{ f.id }} ({{ f.safety }})</option>
          <optgroup label="Estimated">
            <option v-for="f in estimates" :key="f.id" :value="f.id">{{ f.id }} ({{ f.safety }})</option>
          </optgroup>
        </select>
      </label>
      <SegmentedControl v-model="from" label="From" :options="ways" />
      <SegmentedControl v-model="gaugeUnit" label="Gauge in" :options="units" />
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">{{
          from === 'temperature' ? `Temperature, ${display.symbol}` : `Gauge, ${gaugeUnit}`
        }}</span>
        <input v-model="typed" class="w-32 font-mono" inputmode="decimal" data-test="saturation-at"
      /></label>
      <label v-if="from === 'gauge'" class="flex flex-col gap-1"
        ><span class="field-label">Line beside it, {{ display.symbol }}</span>
        <input v-model="line" class="w-32 font-mono" inputmode="decimal" data-test="line-temperature"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Elevation, {{ display.unit === 'degF' ? 'ft' : 'm' }}</span>
        <input v-model="elevation" class="w-28 font-mono" inputmode="decimal" placeholder="0"
      /></label>
    </div>
    <FormProblem class="mt-3" :message="problem" />
    <table v-if="sides.length > 0" class="table-plain mt-3" data-test="saturation-result">
      <thead>
        <tr>
          <th></th>
          <th class="!text-right">Temperature</th>
          <th class="!text-right">Gauge</th>
          <th class="!text-right">Absolute</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in sides" :key="s.side">
          <td>{{ s.side === 'bubble' ? 'Bubble (liquid begins to boil)' : 'Dew (last liquid gone)' }}</td>
          <td v-if="s.problem" colspan="3" class="problem">{{ s.problem }}</td>
          <template v-else>
            <td class="text-right font-mono">{{ s.temperature }}</td>
            <td class="text-right font-mono">{{ s.gauge }}</td>
            <td class="!pr-0 text-right font-mono">{{ s.absolute }}</td>
          </template>
        </tr>
      </tbody>
    </table>
    <p v-if="fluid.mixture" class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2" data-test="estimate">
      <strong class="font-semibold">An estimate, within {{ fluid.errorPercent }} %.</strong> No equation of
      {{ fluid.id }} could be checked here. It is no charging chart: take superheat and subcooling from a
      printed one.
    </p>
    <p v-else-if="departures" class="mt-2" data-test="departures">
      On the suction line, superheat from dew:
      <strong class="font-semibold">{{ departures.superheat }}</strong>. On the liquid line, subcooling from
      bubble: <strong class="font-semibold">{{ departures.subcooling }}</strong>.
    </p>
    <p class="hint mt-2">
      {{ fluid.source }}. Reckon with {{ fluid.errorPercent }} %: {{ fluid.checked }}.{{
        glides ? '' : ' One substance: bubble and dew are the same.'
      }}
    </p>
    <CautionNote class="mt-3"
      >Refrigerant work only by certified persons.<template v-if="fluid.safety !== 'A1'">
        {{ fluid.id }} burns ({{ fluid.safety }}): no sparking contact where gas can gather.</template
      ></CautionNote
    >
    <details v-if="!fluid.mixture" class="mt-3">
      <summary class="link py-1">Chart of {{ fluid.id }}</summary>
      <table class="table-plain mt-1 max-w-md">
        <thead>
          <tr>
            <th class="!text-right">At</th>
            <th class="!text-right">Bubble</th>
            <th class="!text-right">Dew</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in chart" :key="row.t">
            <td class="text-right font-mono">{{ row.t }}</td>
            <td class="text-right font-mono">{{ row.bubble }}</td>
            <td class="!pr-0 text-right font-mono">{{ row.dew }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>
