<script setup lang="ts">
import { computed, ref } from 'vue';
import { LONGEST_TEXT } from '@brine/contract/lengths';
import { parseNumber, valueIn } from '@brine/core/foundation/quantities';
import { inDays } from '../../shared/display/dates.ts';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localTime } from '../../shared/display/localTime.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { newId } from '../../shared/outbox/identity.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import { cutText } from '../../shared/ui/cutText.ts';
import { useDraft } from '../../shared/ui/useDraft.ts';
import SiteQuestions from '../../shared/visit/SiteQuestions.vue';
import type { useVisit } from './useVisit.ts';
import VisitStepLine from './VisitStepLine.vue';
import VisitStrip from './VisitStrip.vue';
import { askWords, countWords, oftenWords, spanWords } from './visitWords.ts';

/** When may I leave: the time one has, filled with what is still to be proven, and what becomes of the rest. */
const props = defineProps<{ of: ReturnType<typeof useVisit> }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const { visit, planned, running, asked } = props.of;
const USUAL = 35;
const LONGEST = 1440;
const { text: minutes } = useDraft(() => String(visit.value?.minutes ?? USUAL), `visit-minutes:${job.id}`);
const air = ref('');
const problem = ref('');
const isEditing = ref(false);
async function begin() {
  const has = parseNumber(minutes.value);
  if (has === null || !(has > 0 && has <= LONGEST))
    return void (problem.value = `${minutes.value}: expected minutes from 1 to ${LONGEST}, such as 35`);
  if (air.value.trim() !== '') {
    const read = readTemperature(air.value.trim(), display.unit);
    if (!read.ok) return void (problem.value = read.problem);
    await job.write({
      kind: 'pullDownReading',
      readAt: new Date().toISOString(),
      celsius: valueIn(read.value, 'degC'),
    });
  }
  problem.value = '';
  air.value = '';
  isEditing.value = false;
  await props.of.begin(has);
}
const seconds = computed(() =>
  visit.value && planned.value ? (Date.parse(visit.value.leavesAt) - planned.value.at) / 1000 : 0,
);
const question = computed(() => {
  const found = planned.value?.plan.question;
  if (!found || !planned.value) return null;
  const at = new Date(planned.value.at + 1000 * found.at).toISOString();
  return { ...found, at, words: askWords(localTime(at), found, display.show) };
});
const isAsked = computed(() => asked.value.some(({ answer }) => answer === null));
async function ask() {
  const { at, least, most, tests, words } = question.value!;
  await job.write({
    kind: 'siteQuestion',
    id: newId(),
    question: { at, least, most, tests: [...tests], words },
    answer: null,
  });
}
const COME_BACK_DAYS = 3;
const LEFT = 'visit:left';
const left = computed(() => planned.value?.plan.left ?? []);
const comesBack = computed(() => job.proving.value.followUps.some(({ id, done }) => id === LEFT && !done));
const comeBack = () =>
  job.write({
    kind: 'followUp',
    id: LEFT,
    followUp: {
      due: inDays(COME_BACK_DAYS),
      what: cutText(
        `Tests that did not fit into the visit: ${left.value.map(({ title }) => title).join(', ')}`,
        LONGEST_TEXT,
      ),
      done: false,
    },
  });
</script>

<template>
  <section
    aria-label="When may I leave"
    class="border border-edge bg-paper px-3 py-3 sm:px-4"
    data-test="visit"
  >
    <form
      v-if="session.mayWrite && (!visit || isEditing)"
      class="flex flex-wrap items-end gap-x-3 gap-y-2"
      @submit.prevent="begin"
    >
      <h3 class="basis-full">When may I leave?</h3>
      <label class="flex flex-col gap-1"
        ><span class="field-label">I have, min</span
        ><input v-model="minutes" class="w-24 font-mono" inputmode="decimal" data-test="visit-minutes"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Air now, {{ display.symbol }}, if known</span
        ><input v-model="air" class="w-28 font-mono" inputmode="text" data-test="visit-air"
      /></label>
      <AppButton type="submit" kind="primary" data-test="visit-begin">Plan the visit</AppButton>
      <AppButton v-if="isEditing" kind="quiet" @click="isEditing = false">Leave it</AppButton>
      <p v-if="problem" class="problem basis-full" role="alert">{{ problem }}</p>
    </form>
    <template v-if="visit && !isEditing">
      <div aria-live="polite">
        <p v-if="planned" class="text-[17px]" data-test="visit-leave" :data-steps="planned.plan.steps.length">
          <strong class="font-semibold"
            >{{
              planned.plan.steps.length === 0
                ? seconds > 0
                  ? 'Nothing more fits'
                  : 'Your time is over'
                : `Done at ${spanWords(planned.at, planned.plan.leave)}`
            }}.</strong
          >
          {{ planned.plan.steps.length === 0 ? '' : oftenWords(planned.plan.fits) }}
          {{ countWords(planned.plan) }}
        </p>
        <p v-else-if="running" class="min-h-12" role="status">
          Putting the open tests into {{ visit.minutes }} min …
        </p>
        <p v-if="of.problem.value" class="problem">{{ of.problem.value }}</p>
      </div>
      <template v-if="planned">
        <VisitStrip class="mt-2" :plan="planned.plan" :at="planned.at" :seconds="seconds" />
        <p class="hint">
          Red line: you leave at {{ localTime(visit.leavesAt) }}. It is planned anew as things happen; times
          of the box are estimates.
        </p>
        <ol v-if="planned.plan.steps.length > 0" class="mt-2 border-t border-ink">
          <VisitStepLine
            v-for="(step, i) in planned.plan.steps"
            :key="step.proof.id"
            :step="step"
            :at="planned.at"
            :now="i === 0"
          />
        </ol>
        <CautionNote class="mt-2"
          >The unit starts by itself in every one of these. What is live is for qualified people; local codes
          come first.</CautionNote
        >
        <div v-if="left.length > 0" class="mt-3" data-test="visit-left">
          <p>
            <strong class="font-semibold">Does not fit: </strong
            >{{ left.map(({ title }) => title).join(', ') }}.
          </p>
          <p v-if="question && !isAsked" class="mt-1">Ask the people on site: {{ question.words }}</p>
          <div v-if="session.mayWrite" class="mt-2 flex flex-wrap gap-2">
            <AppButton v-if="question && !isAsked" data-test="visit-ask" @click="ask">Ask them</AppButton>
            <AppButton v-if="!comesBack" data-test="visit-come-back" @click="comeBack"
              >Come back on {{ inDays(COME_BACK_DAYS) }}</AppButton
            >
            <span v-else class="hint self-center">A follow-up stands for them under Hand over.</span>
          </div>
        </div>
      </template>
      <SiteQuestions class="mt-3" />
      <div v-if="session.mayWrite" class="mt-2 flex flex-wrap gap-2">
        <AppButton kind="quiet" data-test="visit-edit" @click="isEditing = true">Other time</AppButton>
        <AppButton kind="quiet" data-test="visit-end" @click="of.end()">End the visit</AppButton>
      </div>
    </template>
  </section>
</template>
