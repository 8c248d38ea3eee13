<script setup lang="ts">
import { watch } from 'vue';
import type { UnitDescription } from '@brine/core/foundation/unit';
import type { Predicted } from '@brine/core/machines/identification';
import { learnedBoxOf, type Variant } from '@brine/core/record/job';
import { useJob } from '../../shared/job/useJob.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { useUnitPredicted } from '../../shared/ownBox/useUnitPredicted.ts';

/** Draws the coming days of one set of values; shows only how far it is. */
const props = defineProps<{ unit: UnitDescription; variant: Variant }>();
const emit = defineEmits<{ predicted: [found: Predicted] }>();
const job = useJob();
const { predicted, share, problem } = useUnitPredicted(() => {
  const learned = learnedBoxOf(job.state.value);
  return learned && { box: learned.box, unit: props.unit, values: props.variant.values };
});
watch(predicted, (found) => found && emit('predicted', found), { immediate: true });
</script>

<template>
  <FormProblem :message="problem && `${variant.name}: ${problem}`" />
  <p v-if="share !== null" class="flex items-center gap-3 text-[14px] text-soft" role="status">
    <progress class="bar w-48" :value="share" max="1" aria-label="Drawing days"></progress>
    {{ variant.name }}: drawing 32 boxes that the log allows, {{ Math.round(share * 100) }} %
  </p>
</template>
