<script setup lang="ts">
import { computed, toRef } from 'vue';
import type { UnitDescription } from '@brine/core/foundation/unit';
import { learnedBoxOf, type Variant } from '@brine/core/record/job';
import { useJob } from '../../shared/job/useJob.ts';
import PredictedFigures from '../../shared/learnedBox/PredictedFigures.vue';
import { usePredictedDays } from '../../shared/learnedBox/usePredictedDays.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { perVariant } from './perVariant.ts';

/** What the unit's own box says of its coming days under each set of values. */
const props = defineProps<{ unit: UnitDescription; variants: readonly Variant[] }>();
const job = useJob();
const said = perVariant(toRef(props, 'variants'), (variantOf) =>
  usePredictedDays(() => {
    const [learned, variant] = [learnedBoxOf(job.state.value), variantOf()];
    return learned && variant && { box: learned.box, unit: props.unit, values: variant.values };
  }),
);
const lines = computed(() =>
  props.variants.flatMap(({ id, name }) => {
    const days = said.value.get(id);
    return days
      ? [{ id, name, share: days.share.value, problem: days.problem.value, predicted: days.predicted.value }]
      : [];
  }),
);
const columns = computed(() =>
  lines.value.flatMap(({ id, name, predicted }) => (predicted ? [{ id, name, predicted }] : [])),
);
</script>

<template>
  <div class="flex flex-col gap-2" data-test="own-forecast">
    <template v-for="line in lines" :key="line.id">
      <FormProblem :message="line.problem && `${line.name}: ${line.problem}`" />
      <p v-if="line.share !== null" class="flex items-center gap-3 text-[14px] text-soft" role="status">
        <progress class="bar w-48" :value="line.share" max="1" aria-label="Drawing days"></progress>
        {{ line.name }}: drawing boxes that the log allows, {{ Math.round(line.share * 100) }} %
      </p>
    </template>
    <div v-if="columns.length > 0" class="max-w-3xl overflow-x-auto">
      <PredictedFigures :columns="columns" />
    </div>
  </div>
</template>
