<script setup lang="ts">
import { ref } from 'vue';
import type { RunStep } from '@brine/core/record/job';
import { parseNumber } from '@brine/core/foundation/quantities';
import { valueOff } from '@brine/core/judgement/transport';
import { useJob } from '../../shared/job/useJob.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { useDraft } from '../../shared/ui/useDraft.ts';

/** One step of a trip: what to look at, the number where one is read, in order or not. */
const props = defineProps<{ run: RunStep; editable: boolean }>();
const job = useJob();
// What is being typed stays, whatever else of the trip is written meanwhile.
const { text: value, settle: settleValue } = useDraft(() =>
  props.run.value === null ? '' : String(props.run.value),
);
const { text: word, settle: settleWord } = useDraft(() => props.run.word);
const problem = ref('');
const askWord = ref(false);
async function keep(state: 'done' | 'fault' | null) {
  const { step } = props.run;
  problem.value = '';
  const read = step.value ? parseNumber(value.value.trim()) : null;
  if (step.value && state !== null && read === null) {
    problem.value = `${step.value.label}: expected a number in ${step.value.unit}.`;
    return;
  }
  const off = read === null ? null : valueOff(step, read);
  if (state === 'done' && off) {
    problem.value = `Not in order: ${off}.`;
    askWord.value = true;
    return;
  }
  if (state === 'fault' && word.value.trim() === '' && !off) {
    askWord.value = true;
    problem.value = 'Say what is not in order.';
    return;
  }
  askWord.value = false;
  settleValue();
  settleWord();
  await job.write({
    kind: 'tripStep',
    step: step.id,
    state,
    value: state === null ? null : read,
    word: state === 'fault' ? word.value.trim() || (off ?? '') : '',
  });
}
</script>

<template>
  <li
    class="border-b border-hairline py-2"
    :data-test="`step-${run.step.id}`"
    :data-state="run.state ?? 'open'"
  >
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <div class="min-w-40 flex-1">
        <p class="font-medium">
          <span v-if="run.state === 'done'" class="text-good">✓ </span
          ><span v-else-if="run.state === 'fault'" class="text-alarm">✗ </span>{{ run.step.title
          }}<span v-if="run.value !== null && run.step.value"
            >, <span class="font-mono">{{ run.value }} {{ run.step.value.unit }}</span></span
          >
        </p>
        <p class="text-[14px] text-soft">{{ run.step.how }}</p>
        <p v-if="run.state === 'fault' && run.word" class="text-[14px] text-alarm">{{ run.word }}</p>
      </div>
      <label v-if="run.step.value && editable && run.state === null" class="flex items-center gap-2"
        ><span class="sr-only">{{ run.step.value.label }}</span
        ><input
          v-model="value"
          class="w-20 font-mono"
          inputmode="text"
          :placeholder="run.step.value.unit"
          :data-test="`value-${run.step.id}`"
        /><span class="text-[14px] text-soft">{{ run.step.value.unit }}</span></label
      >
      <div v-if="editable" class="flex shrink-0 gap-2">
        <template v-if="run.state === null">
          <AppButton kind="primary" :data-test="`ok-${run.step.id}`" @click="keep('done')"
            >In order</AppButton
          >
          <AppButton :data-test="`fault-${run.step.id}`" @click="keep('fault')">Not</AppButton>
        </template>
        <AppButton v-else kind="quiet" @click="keep(null)">Again</AppButton>
      </div>
    </div>
    <p
      v-if="run.step.caution && run.state === null"
      class="mt-1 border-l-4 border-amber bg-amber-wash px-2 py-1 text-[13.5px]"
    >
      <strong class="font-semibold">Caution. </strong>{{ run.step.caution }}
    </p>
    <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
    <div v-if="askWord && run.state === null" class="mt-1 flex flex-wrap items-center gap-2">
      <input
        v-model="word"
        class="min-w-52 flex-1"
        maxlength="300"
        placeholder="what is not in order"
        :aria-label="`${run.step.title}: what is not in order`"
        :data-test="`word-${run.step.id}`"
      />
      <AppButton @click="keep('fault')">Write it down</AppButton>
    </div>
  </li>
</template>
