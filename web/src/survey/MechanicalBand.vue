<script setup lang="ts">
import { computed, ref } from 'vue';
import { mechanicalMeaning } from '@brine/core/record/job';
import { standing } from '@brine/core/record/fold';
import { printNumber, printQuantity, valueIn, type Quantity } from '@brine/core/foundation/quantities';
import { useDisplay } from '../shared/display/displayStore.ts';
import { readTemperature } from '../shared/display/readTemperature.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { useDraft } from '../shared/ui/useDraft.ts';

/** A mechanical control has no codes: its cut-in and cut-out as a thermometer saw them are what is taken over. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const band = computed(() => standing(job.state.value, 'mechanical', 'mechanical'));
const show = (q: Quantity | null | undefined) => (q ? printNumber(valueIn(q, display.unit), 1) : '');
const cutIn = useDraft(() => show(band.value?.cutIn));
const cutOut = useDraft(() => show(band.value?.cutOut));
const problem = ref('');
const taken = computed(() => mechanicalMeaning(job.state.value)?.values ?? null);
const words = computed(() => {
  if (!taken.value) return band.value?.cutIn && band.value.cutOut ? 'Cut-in must lie above cut-out.' : '';
  const setpoint = printQuantity(taken.value['regulation.setpoint'] as Quantity);
  const differential = printQuantity(taken.value['regulation.differential'] as Quantity);
  return `Taken over as set point ${setpoint} (cooling stops) with ${differential} of differential.`;
});
function read(text: string): Quantity | null | undefined {
  const typed = text.trim();
  if (typed === '') return null;
  const parsed = readTemperature(typed, display.unit);
  if (parsed.ok) return parsed.value;
  problem.value = parsed.problem;
  return undefined;
}
function take() {
  problem.value = '';
  const [high, low] = [read(cutIn.text.value), read(cutOut.text.value)];
  if (high === undefined || low === undefined) return;
  const typed = [cutIn.settle(), cutOut.settle()];
  if (typed.some(Boolean)) void job.write({ kind: 'mechanical', cutIn: high, cutOut: low });
}
</script>

<template>
  <section aria-label="A mechanical control" data-test="mechanical">
    <h3>A mechanical control?</h3>
    <p class="hint mt-1">Let it work twice and read the air where it starts and where it stops.</p>
    <div class="mt-2 flex flex-wrap gap-4">
      <label class="flex items-center gap-2"
        >Cut-in
        <input
          v-model="cutIn.text.value"
          class="w-20 text-right font-mono"
          inputmode="text"
          :disabled="!session.mayWrite"
          @change="take"
        />{{ display.symbol }}</label
      >
      <label class="flex items-center gap-2"
        >Cut-out
        <input
          v-model="cutOut.text.value"
          class="w-20 text-right font-mono"
          inputmode="text"
          :disabled="!session.mayWrite"
          @change="take"
        />{{ display.symbol }}</label
      >
    </div>
    <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
    <p v-else-if="words" class="mt-1" :class="taken ? 'hint' : 'problem'">{{ words }}</p>
  </section>
</template>
