<script setup lang="ts">
import { computed, ref } from 'vue';
import type { UnitDescription } from '@brine/core/advice';
import type { SettingValues } from '@brine/core/settings';
import { judgeRun, type FaultKind } from '@brine/core/simulation';
import { useDisplay } from '../shared/display/displayStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import DayStrip from './DayStrip.vue';
import FigureTable from './FigureTable.vue';
import { faultsOf, forecastScenario, whatIfs } from './forecastScenario.ts';
import { useRun } from './useRun.ts';

/** What the values will do: a simulated day of this unit, with the old control's day under it where its settings are known. */
const props = defineProps<{ unit: UnitDescription; values: SettingValues; found: SettingValues | null }>();
const SAMPLE = 30;
const display = useDisplay();
/** A fault tried on both: what would the control do with these settings. */
const fault = ref<FaultKind | ''>('');
const scenario = computed(() => forecastScenario(props.unit, props.values, faultsOf(fault.value)));
const storage = computed(() =>
  typeof scenario.value === 'string' ? { min: null, max: null } : scenario.value.storage,
);
const planned = useRun(() => scenario.value, SAMPLE);
const old = useRun(
  () => (props.found ? forecastScenario(props.unit, props.found, faultsOf(fault.value)) : null),
  SAMPLE,
);
const share = computed(() => planned.share.value ?? old.share.value);
const limits = computed(() => {
  const { min, max } = storage.value;
  return [
    ...(max === null ? [] : [{ name: 'goods: warmest', celsius: max }]),
    ...(min === null ? [] : [{ name: 'goods: coldest', celsius: min }]),
  ];
});
const runs = computed(() => [
  ...(old.result.value ? [{ name: 'As found', figures: old.result.value.figures }] : []),
  ...(planned.result.value ? [{ name: 'As set', figures: planned.result.value.figures }] : []),
]);
/** What each day says against its settings. */
const judged = computed(() =>
  runs.value.map((run) => ({
    name: run.name,
    against: judgeRun(run.figures, storage.value, display.unit),
  })),
);
function stop() {
  planned.stop();
  old.stop();
}
</script>

<template>
  <div class="flex flex-col gap-4" data-test="forecast">
    <FormProblem :message="planned.problem.value" />
    <label class="flex flex-wrap items-center gap-2 text-[14px]"
      >What if:
      <select v-model="fault" class="!min-h-9 !py-1" data-test="what-if">
        <option value="">nothing breaks</option>
        <option v-for="w in whatIfs" :key="w.kind" :value="w.kind">{{ w.words }}</option>
      </select>
    </label>
    <div class="flex min-h-9 flex-wrap items-center gap-3 text-[14px]">
      <template v-if="share !== null">
        <progress class="h-2 w-48 accent-brine" :value="share" max="1" aria-label="Simulating"></progress>
        <span class="text-soft">Simulating two days, {{ Math.round(share * 100) }} %</span>
        <AppButton kind="quiet" @click="stop">Stop</AppButton>
      </template>
      <p v-else class="text-soft">
        <span class="font-semibold text-ink">━ air</span>, <span class="text-cold">━ coil</span>,
        <span class="text-good">┅ product</span
        ><template v-if="old.result.value">, ┅ grey: air as found; lower bars as found</template>. Estimated
        for a {{ unit.application.includes('walkIn') ? 'walk-in' : 'reach-in' }} of usual size, second day.
      </p>
    </div>
    <DayStrip
      v-if="planned.result.value"
      :run="planned.result.value"
      :under="old.result.value"
      :hours="24"
      :limits="limits"
    />
    <div v-for="run in judged" :key="run.name" data-test="judged">
      <p v-if="run.against.length === 0" class="border-l-4 border-good bg-good-wash px-3 py-2">
        <strong class="font-semibold">✓ {{ run.name }}:</strong> this day says nothing against these settings.
      </p>
      <div v-else class="border-l-4 border-amber bg-amber-wash px-3 py-2">
        <strong class="font-semibold">{{ run.name }}:</strong>
        <ul class="list-disc pl-5">
          <li v-for="sentence in run.against" :key="sentence">{{ sentence }}.</li>
        </ul>
      </div>
    </div>
    <FigureTable v-if="runs.length > 0" class="max-w-3xl" :runs="runs" />
    <p class="text-[14px] text-soft">
      A simulation is an estimate: it knows the kind of box, its ambient and its door, not this coil’s dirt.
      Prove it at the unit.
    </p>
  </div>
</template>
