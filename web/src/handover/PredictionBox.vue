<script setup lang="ts">
import PredictedFigures from '../shared/learnedBox/PredictedFigures.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import type { usePrediction } from './usePrediction.ts';

/** What is predicted of the days after the hand-over, and that it will be held to it. */
const props = defineProps<{ prediction: ReturnType<typeof usePrediction> }>();
const { asked, predicted, share, problem } = props.prediction;
</script>

<template>
  <section v-if="asked" class="flex flex-col gap-1" aria-label="Prediction" data-test="prediction">
    <h3>What will be seen</h3>
    <p class="hint">
      Kept with the hand-over. The next log of the unit is held against it, and a follow-up asks for that log.
    </p>
    <FormProblem :message="problem" />
    <p v-if="share !== null" class="flex items-center gap-3 text-[14px] text-soft" role="status">
      <progress class="bar w-40" :value="share" max="1" aria-label="Drawing days"></progress>
      Drawing the coming days, {{ Math.round(share * 100) }} %
    </p>
    <PredictedFigures v-if="predicted" :columns="[{ id: 'left', name: 'As left', predicted }]" />
  </section>
</template>
