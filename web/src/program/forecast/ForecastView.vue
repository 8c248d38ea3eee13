<script setup lang="ts">
import { computed, ref } from 'vue';
import { boxFactIds, type UnitDescription } from '@brine/core/foundation/unit';
import type { Variant } from '@brine/core/record/job';
import { plantKindOf, type FaultKind, type Simulated } from '@brine/core/machines/simulation';
import { faultsOf, unitScenario, whatIfsFor } from '@brine/core/judgement/tuning';
import { foundIn, seenOf } from '@brine/core/judgement/verdict';
import { applicationNames } from '@brine/core/foundation/settings';
import { useDisplay } from '../../shared/display/displayStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import DayStrip from '../../shared/strip/DayStrip.vue';
import FigureTable from './FigureTable.vue';
import ReplayLog from './ReplayLog.vue';
import VariantChoice from './VariantChoice.vue';
import PredictedVariants from './PredictedVariants.vue';
import BoxLine from '../../shared/learnedBox/BoxLine.vue';
import { useVariantRuns } from './useVariantRuns.ts';

/** What the values will do: simulated days of this unit, with up to three other sets of values under them, and what if something breaks. */
const props = defineProps<{ unit: UnitDescription; variants: readonly Variant[] }>();
const display = useDisplay();
/** A fault tried on all: what would the control do with these settings. */
const whatIfs = computed(() => whatIfsFor(props.unit));
const fault = ref<FaultKind | ''>('');
const days = ref(1);
const shownIds = ref<readonly string[]>(['found', 'set']);
const chosen = computed(() => props.variants.filter((v) => shownIds.value.includes(v.id)));
const scenarioOf = (variant: Variant) =>
  unitScenario(props.unit, variant.values, {
    hours: days.value * 24,
    faults: faultsOf(fault.value, days.value * 24),
  });
const machine = computed(() => {
  const scenario = chosen.value[0] && scenarioOf(chosen.value[0]);
  if (!scenario || typeof scenario === 'string') return 'box';
  return plantKindOf(scenario);
});
const { runs, share, problem, stop } = useVariantRuns(chosen, scenarioOf, () => 30 * days.value);
const ownSize = computed(() => boxFactIds.some((id) => props.unit.facts?.[id] !== undefined));
const main = computed(() => runs.value.find((run) => run.id === 'set') ?? runs.value.at(-1) ?? null);
const others = computed(() => runs.value.filter((run) => run !== main.value));
const storage = computed(() => {
  const scenario = chosen.value[0] && scenarioOf(chosen.value[0]);
  return scenario && typeof scenario !== 'string' ? scenario.storage : { min: null, max: null };
});
const limits = computed(() => {
  const { min, max } = storage.value;
  return [
    ...(max === null ? [] : [{ name: 'product: warmest', celsius: max }]),
    ...(min === null ? [] : [{ name: 'product: coldest', celsius: min }]),
  ];
});
/** What each run says against its settings. */
const judged = computed(() =>
  runs.value.map(({ id, name, result }) => ({ name, against: saidOf(id, result) })),
);
/** The same checks that the judgement makes, on the run that is shown. */
function saidOf(id: string, result: Simulated): readonly string[] {
  const variant = props.variants.find((v) => v.id === id);
  const scenario = variant && scenarioOf(variant);
  if (!variant || !scenario || typeof scenario === 'string') return [];
  const seen = seenOf(props.unit, variant.values, scenario, result, display.unit);
  return foundIn({ machine: machine.value, seen }).map(({ message }) => display.words(message));
}
const dayNames = [1, 3, 7, 30] as const;
const own = computed(() => props.unit.learned !== undefined && machine.value === 'box');
</script>

<template>
  <div class="flex flex-col gap-4 max-lg:gap-3 lg:gap-2" data-test="forecast">
    <FormProblem :message="problem" />
    <BoxLine />
    <div class="flex flex-wrap items-center gap-x-6 gap-y-2 text-[14px]">
      <label class="flex flex-wrap items-center gap-2"
        >What if:
        <select v-model="fault" class="!min-h-9 pointer-coarse:!min-h-11 !py-1" data-test="what-if">
          <option value="">normal operation</option>
          <option v-for="w in whatIfs" :key="w.kind" :value="w.kind">{{ w.words }}</option>
        </select>
      </label>
      <label class="flex items-center gap-2"
        >Over
        <select v-model="days" class="!min-h-9 pointer-coarse:!min-h-11 !py-1" data-test="days">
          <option v-for="n in dayNames" :key="n" :value="n">{{ n === 1 ? '1 day' : `${n} days` }}</option>
        </select>
      </label>
      <VariantChoice v-model="shownIds" :variants="variants" />
    </div>
    <div class="flex min-h-9 pointer-coarse:min-h-11 flex-wrap items-center gap-3 text-[14px]">
      <template v-if="share !== null">
        <progress class="bar w-48" :value="share" max="1" aria-label="Simulating"></progress>
        <span class="text-soft">Simulating, {{ Math.round(share * 100) }} %</span>
        <AppButton kind="quiet" @click="stop">Stop</AppButton>
      </template>
      <p v-else class="text-soft">
        <template v-if="machine === 'tank'"
          ><span class="font-semibold text-ink">━ water</span>,
          <span class="text-cold">━ chiller’s surface</span></template
        ><template v-else
          ><span class="font-semibold text-ink">━ air</span>, <span class="text-cold">━ coil</span>,
          <span class="text-good">┅ product</span></template
        >
        : {{ main?.name.toLowerCase()
        }}<template v-if="others.length > 0"
          >, ┅ {{ machine === 'tank' ? 'water' : 'air' }} of the others; lower bars:
          {{ others[0]!.name.toLowerCase() }}</template
        >.
        {{
          machine === 'tank'
            ? 'Estimated for a tank of the water, chiller and room that stand under Tools'
            : own
              ? 'One ordinary day of this unit’s own box'
              : `Estimated for a ${applicationNames[unit.application].toLowerCase()} ${ownSize ? 'of its own size' : 'of usual size'}`
        }}, after a day to settle.
      </p>
    </div>
    <DayStrip
      v-if="main"
      :run="main.result"
      :others="others"
      :hours="days * 24"
      :limits="limits"
      :machine="machine"
    />
    <div v-for="run in judged" :key="run.name" data-test="judged">
      <p v-if="run.against.length === 0" class="border-l-4 border-good bg-good-wash px-3 py-2">
        <strong class="font-semibold">✓ {{ run.name }}:</strong> this run says nothing against these settings.
      </p>
      <div v-else class="border-l-4 border-amber bg-amber-wash px-3 py-2">
        <strong class="font-semibold">{{ run.name }}:</strong>
        <ul class="list-disc pl-5">
          <li v-for="sentence in run.against" :key="sentence">{{ sentence }}</li>
        </ul>
      </div>
    </div>
    <PredictedVariants v-if="own && fault === ''" :unit="unit" :variants="chosen" />
    <FigureTable
      v-if="runs.length > 0"
      class="max-w-3xl"
      :days="days"
      :unit="unit"
      :machine="machine"
      :own="own && fault === ''"
      :runs="runs.map((run) => ({ name: run.name, figures: run.result.figures }))"
    />
    <ReplayLog :variants="chosen" />
    <p class="text-[14px] text-soft">
      {{
        own
          ? 'A simulation is an estimate: it knows what one log told of this unit. Hold the next log against it.'
          : 'A simulation is an estimate: it knows the kind of box, its ambient and its door, not this coil’s dirt. Prove it at the unit.'
      }}
    </p>
  </div>
</template>
