<script setup lang="ts">
import { computed, ref } from 'vue';
import { factWords, shownUnitOfFact, type FactId } from '@brine/core/foundation/unit';
import { parseNumber, printFor, printNumber, quantity, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../display/displayStore.ts';
import { readTemperature } from '../display/readTemperature.ts';
import { useDraft } from '../ui/useDraft.ts';
import { useJob } from './useJob.ts';

/** One fact of a job, typed and kept; what cannot be it stays as typed, with a sentence. */
const props = defineProps<{ fact: FactId; value: number; editable: boolean }>();
const job = useJob();
const display = useDisplay();
const words = computed(() => factWords[props.fact]);
/** Feet and gallons where people read °F; what is kept is metric. */
const scale = computed(() => shownUnitOfFact(words.value.unit, display.unit));
const shown = computed(() =>
  words.value.temperature
    ? printNumber(valueIn(quantity(props.value, 'degC'), display.unit), 1)
    : printNumber(props.value * scale.value.each, 2),
);
const { text: typed, settle } = useDraft(() => shown.value);
const problem = ref('');
const label = computed(() => {
  const unit = words.value.temperature ? display.symbol : scale.value.unit;
  return unit ? `${words.value.label}, ${unit}` : words.value.label;
});
async function keep() {
  const text = typed.value.trim();
  if (text === shown.value) return void (problem.value = '');
  if (text === '') {
    // Emptied, it is as usual again.
    problem.value = '';
    settle();
    return void (await job.write({ kind: 'fact', fact: props.fact, value: null }));
  }
  const { each, unit } = scale.value;
  const number = parseNumber(text);
  const { from, to, temperature } = words.value;
  const read = temperature ? readTemperature(text, display.unit) : null;
  const value = read
    ? read.ok
      ? valueIn(read.value, 'degC')
      : null
    : number === null
      ? null
      : number / each;
  if (value === null || value < from - 1e-9 || value > to + 1e-9) {
    const [low, high] = temperature
      ? [from, to].map((c) => printFor(quantity(c, 'degC'), display.unit))
      : [from, to].map((n) => `${printNumber(n * each, 2)} ${unit}`.trim());
    problem.value = `${text}: expected ${low} to ${high}.`;
    return;
  }
  problem.value = '';
  settle();
  await job.write({ kind: 'fact', fact: props.fact, value });
}
</script>

<template>
  <label v-if="words.tick" class="flex min-h-11 items-center gap-2 self-end"
    ><input
      type="checkbox"
      :checked="value > 0"
      :disabled="!editable"
      :data-test="`fact-${fact}`"
      @change="job.write({ kind: 'fact', fact, value: value > 0 ? 0 : 1 })"
    />{{ words.label }}</label
  >
  <label v-else class="flex flex-col gap-1"
    ><span class="field-label">{{ label }}</span
    ><input
      v-model="typed"
      class="w-28 font-mono"
      :disabled="!editable"
      :inputmode="words.temperature ? 'text' : 'decimal'"
      :aria-invalid="problem !== ''"
      :data-test="`fact-${fact}`"
      @change="keep"
    /><span v-if="problem" class="problem max-w-44" role="alert">{{ problem }}</span></label
  >
</template>
