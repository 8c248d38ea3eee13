<script setup lang="ts">
import { computed, watch } from 'vue';
import type { HeldFigure } from '@brine/core/judgement/learning';
import { LONGEST_NAME } from '@brine/contract/lengths';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localDate } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { cutText } from '../../shared/ui/cutText.ts';
import { PREDICTION_FOLLOW_UP } from '../../shared/learnedBox/followUp.ts';
import { predictedNames, predictedWords } from '../../shared/learnedBox/predictedWords.ts';
import { heldEntries } from './heldEntries.ts';
import { useHolding } from './useHolding.ts';
import type { ReadLog } from './useLog.ts';

/** A log beside what was predicted when the unit was handed over, figure by figure; what follows of it is written once the log is kept. */
const props = defineProps<{ readonly read: ReadLog; readonly kept: string | null }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const { predicted, apart, held, because, problem } = useHolding(job, () => props);
const off = computed(() => held.value.filter((f) => f.stands === 'off'));
const came = computed(() => held.value.length > 0 && off.value.length === 0);
const words = (f: HeldFigure, value: number) => predictedWords(f.figure, value, display.unit);
const standsWords = { inside: '✓ as predicted', near: '✓ close', off: '✗ otherwise' } as const;

let noted: string | null = null;
watch(
  () => [props.kept, held.value] as const,
  async ([id, figures]) => {
    if (id === null || figures.length === 0 || noted === id || !session.mayWrite || !predicted.value) return;
    noted = id;
    if (job.state.value.registers.has(`heldAgainst:${id}`)) return;
    const log = { id, name: cutText(props.read.name, LONGEST_NAME) };
    const asked = job.proving.value.followUps.find((f) => f.id === PREDICTION_FOLLOW_UP);
    await job.write(...heldEntries(figures, log, predicted.value.at, asked, display.unit));
  },
);
</script>

<template>
  <section
    v-if="predicted"
    class="flex flex-col gap-2"
    aria-label="Against the prediction"
    data-test="held-box"
  >
    <h3>Against what was predicted on {{ localDate(predicted.at) }}</h3>
    <FormProblem :message="problem" />
    <p v-if="apart === 'older'" class="border-l-4 border-hairline bg-band px-3 py-2">
      This log is older than the prediction, so it says nothing of it.
    </p>
    <p v-else-if="apart === 'otherSettings'" class="border-l-4 border-hairline bg-band px-3 py-2">
      Not held against it: the settings were changed since it was predicted.
    </p>
    <ul v-else-if="because.length > 0" class="list-disc pl-5">
      <li v-for="f in because" :key="f.code">{{ display.words(f.message) }}</li>
    </ul>
    <template v-else-if="held.length > 0">
      <p
        class="border-l-4 px-3 py-2"
        :class="came ? 'border-good bg-good-wash' : 'border-amber bg-amber-wash'"
        data-test="held-verdict"
      >
        <template v-if="came"><strong class="font-semibold">✓ It came as predicted.</strong></template>
        <template v-else
          ><strong class="font-semibold">Not as predicted:</strong>
          {{ off.map((f) => predictedNames[f.figure].toLowerCase()).join('; ') }}. Something is otherwise than
          when it was learned: the unit, its use, or the program in it.</template
        >
        <template v-if="kept"> Noted with the job.</template>
        <template v-else-if="session.mayWrite"> Keep the log, and it is noted with the job.</template>
      </p>
      <table class="table-plain max-w-3xl" data-test="held-figures">
        <thead>
          <tr>
            <th>Figure</th>
            <th class="!text-right">This log</th>
            <th class="!text-right">Predicted</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in held" :key="f.figure">
            <td>{{ predictedNames[f.figure] }}</td>
            <td class="text-right font-mono">{{ words(f, f.measured) }}</td>
            <td class="text-right font-mono">{{ words(f, f.low) }} to {{ words(f, f.high) }}</td>
            <td
              class="whitespace-nowrap"
              :class="f.stands === 'off' ? 'font-semibold text-alarm' : 'text-good'"
            >
              {{ standsWords[f.stands] }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>
