<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import {
  allCauses,
  checkWords,
  decisionNames,
  decisions,
  learnedSays,
  rankCauses,
  rankChecks,
  signNames,
  signsFor,
  type Answers,
  type CheckId,
  type Decision,
  type LearnedSays,
  type SignId,
} from '@brine/core/judgement/complaints';
import { allStanding, standing } from '@brine/core/record/fold';
import { earlierBoxOf, learnedBoxOf } from '@brine/core/record/job';
import { isMachine } from '@brine/core/foundation/settings';
import { useJob } from '../shared/job/useJob.ts';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CautionNote from '../shared/ui/CautionNote.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import YesNo from './YesNo.vue';
import { useCauseDays } from './useCauseDays.ts';

/** From what people see to what is behind it, and what comes of it. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const { days, share, problem, stop } = useCauseDays(job);
const signs = computed(
  () =>
    Object.fromEntries(
      allStanding(job.state.value, 'sign').flatMap((s) => (s.seen === null ? [] : [[s.sign, s.seen]])),
    ) as Answers<SignId>,
);
const checks = computed(
  () =>
    Object.fromEntries(
      allStanding(job.state.value, 'complaintCheck').flatMap((c) =>
        c.answer === null ? [] : [[c.check, c.answer]],
      ),
    ) as Answers<CheckId>,
);
const profiles = computed(() =>
  (days.value ?? []).map((day) => ({
    cause: allCauses.find((c) => c.id === day.id)!,
    simulated: day.simulated && new Set(day.simulated),
  })),
);
/** What the logs kept with this job said; null where there is none. */
const logged = computed(() =>
  job.proving.value.logs.length === 0 ? null : job.proving.value.logs.flatMap((log) => log.findings),
);
/** What the unit's own box says of causes, against what was learned before or against the usual one. */
const said = computed<readonly LearnedSays[]>(() => {
  const { unit, inForce: values } = job.program.value;
  const box = learnedBoxOf(job.state.value)?.box;
  return unit && box
    ? learnedSays({ unit, values, box, earlier: earlierBoxOf(job.state.value)?.box ?? null })
    : [];
});
/** What is said clearly for a cause, in words. */
const learnedFor = (cause: string) => said.value.find((d) => d.cause === cause && d.times > 1.5) ?? null;
const application = computed(() => job.program.value.unit?.application ?? 'reachInRefrigerator');
const asked = computed(() => signsFor(application.value));
const machine = computed(() => isMachine(application.value));
const any = computed(
  () =>
    Object.keys(signs.value).length + Object.keys(checks.value).length > 0 ||
    said.value.some((d) => d.times > 3),
);
const ranked = computed(() =>
  rankCauses(profiles.value, {
    signs: signs.value,
    checks: checks.value,
    logged: logged.value,
    learned: Object.fromEntries(said.value.map(({ cause, times }) => [cause, times])),
  }),
);
const shown = computed(() => ranked.value.filter((r, i) => i < 3 || r.odds > 0.05).slice(0, 7));
const next = computed(() => rankChecks(ranked.value, checks.value).slice(0, 3));
const done = computed(() =>
  (Object.keys(checks.value) as CheckId[]).map((id) => ({ id, answer: checks.value[id]! })),
);
const verdict = computed(() => standing(job.state.value, 'verdict', 'verdict'));
const chosen = ref<string | null>(null);
const cause = computed(
  () => allCauses.find((c) => c.id === (chosen.value ?? ranked.value[0]?.cause.id)) ?? null,
);
const decision = ref<Decision | ''>('');
const { text: words, settle } = useDraft(() => verdict.value?.words ?? '', `verdict:${job.id}`);
const percent = (odds: number) => `${Math.round(odds * 100)} %`;
async function record() {
  await job.write({
    kind: 'verdict',
    cause: cause.value?.id ?? null,
    decision: decision.value || (cause.value?.decision ?? 'repair'),
    words: words.value.trim(),
  });
  settle();
}
/** On a phone the causes lie below the signs: the likeliest stands above them, and leads there. */
const toCauses = () => document.querySelector('[data-test="causes"]')?.scrollIntoView({ block: 'center' });
</script>

<template>
  <section class="px-4 py-5 sm:px-5">
    <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <h2 class="text-[21px]">What is behind the complaint</h2>
      <RouterLink class="link" :to="`/jobs/${job.id}/survey`">Back to Survey</RouterLink>
    </div>
    <button
      v-if="days && any && shown[0]"
      type="button"
      class="sticky top-0 z-10 -mx-4 mt-3 flex min-h-12 w-[calc(100%+2rem)] items-center gap-3 border-y border-ink bg-sheet px-4 text-left sm:-mx-5 sm:w-[calc(100%+2.5rem)] lg:hidden"
      data-test="likeliest"
      @click="toCauses"
    >
      <span class="font-mono font-semibold">{{ percent(shown[0].odds) }}</span>
      <span class="min-w-0 flex-1 leading-tight">{{ shown[0].cause.name }}</span>
      <span aria-hidden="true">↓</span><span class="sr-only">to the causes and checks</span>
    </button>
    <div class="mt-4 grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
      <section aria-label="Signs">
        <h3>What they see</h3>
        <ul class="mt-1 border-t border-ink">
          <li
            v-for="sign in asked"
            :key="sign"
            class="flex min-h-11 items-center gap-3 border-b border-hairline py-1"
          >
            <span class="flex-1">{{ signNames[sign] }}</span>
            <YesNo
              :label="signNames[sign]"
              :value="signs[sign] ?? null"
              :editable="session.mayWrite"
              :data-test="`sign-${sign}`"
              @answer="(seen) => job.write({ kind: 'sign', sign, seen })"
            />
          </li>
        </ul>
      </section>
      <div class="flex min-w-0 flex-col gap-6">
        <p v-if="!job.program.value.unit">
          Answer the survey first: the causes are simulated on this very unit.
        </p>
        <FormProblem :message="problem" />
        <p v-if="share !== null" class="flex items-center gap-3" role="status">
          <progress class="bar w-48" :value="share" max="1" aria-label="Simulating"></progress> Simulating a
          day of each cause on this unit …
          <AppButton kind="quiet" @click="stop">Stop</AppButton>
        </p>
        <p v-else-if="days && !any" class="text-soft">
          Tick what people see. Then the causes show here in their order, with the check that parts them best.
        </p>
        <template v-if="days && any">
          <section aria-label="Causes">
            <h3>Likeliest</h3>
            <ul class="mt-1 border-t border-ink" data-test="causes">
              <li
                v-for="r in shown"
                :key="r.cause.id"
                class="border-b border-hairline py-2"
                :data-cause="r.cause.id"
              >
                <div class="flex items-center gap-3">
                  <span class="w-12 shrink-0 text-right font-mono">{{ percent(r.odds) }}</span>
                  <svg class="shrink-0" width="90" height="8" aria-hidden="true">
                    <rect width="90" height="8" fill="var(--color-band)" />
                    <rect :width="90 * r.odds" height="8" fill="var(--color-brine)" />
                  </svg>
                  <strong class="font-semibold">{{ r.cause.name }}</strong>
                </div>
                <p class="mt-0.5 pl-[10.1rem] text-[14px] text-soft max-sm:pl-0">
                  {{ display.words(r.cause.does) }}
                  <template v-if="r.because.length > 0">
                    Points to it: {{ r.because.map((s) => signNames[s].toLowerCase()).join(', ')
                    }}{{ r.fromSimulation ? ', as its simulated day shows' : '' }}.</template
                  >
                  <template v-if="r.logAgrees.length > 0"> The log reports it too.</template>
                  <template v-if="learnedFor(r.cause.id)">
                    Its own box says so: {{ display.words(learnedFor(r.cause.id)!.words) }}</template
                  >
                  <template v-if="r.against.length > 0">
                    Does not explain:
                    {{ r.against.map((s) => signNames[s].toLowerCase()).join(', ') }}.</template
                  >
                </p>
              </li>
            </ul>
          </section>
          <section v-if="next.length > 0" aria-label="Next check">
            <h3>Check this next</h3>
            <ul class="mt-1 border-t border-ink" data-test="next-checks">
              <li
                v-for="(c, i) in next"
                :key="c.id"
                class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hairline py-2"
                :data-check="c.id"
              >
                <div class="min-w-60 flex-1">
                  <p :class="{ 'font-semibold': i === 0 }">{{ display.words(checkWords[c.id].question) }}</p>
                  <p class="text-[14px] text-soft">
                    {{ display.words(checkWords[c.id].how) }} {{ checkWords[c.id].minutes }} min.
                  </p>
                  <p v-if="checkWords[c.id].caution" class="mt-1 text-[14px]">
                    <strong class="font-semibold">Caution. </strong>{{ checkWords[c.id].caution }}
                  </p>
                </div>
                <YesNo
                  :label="display.words(checkWords[c.id].question)"
                  :value="null"
                  :editable="session.mayWrite"
                  @answer="(answer) => job.write({ kind: 'complaintCheck', check: c.id, answer })"
                />
              </li>
            </ul>
          </section>
        </template>
        <section v-if="done.length > 0" aria-label="Checked">
          <h3>Checked</h3>
          <ul class="mt-1">
            <li v-for="c in done" :key="c.id" class="flex items-center gap-3 py-1 text-[14.5px]">
              <span class="flex-1">{{ display.words(checkWords[c.id].question) }}</span>
              <YesNo
                :label="display.words(checkWords[c.id].question)"
                :value="c.answer"
                :editable="session.mayWrite"
                @answer="(answer) => job.write({ kind: 'complaintCheck', check: c.id, answer })"
              />
            </li>
          </ul>
        </section>
        <form
          v-if="days && any && session.mayWrite"
          class="flex flex-col gap-3 border-t border-ink pt-3"
          data-test="verdict"
          @submit.prevent="record"
        >
          <h3>Verdict</h3>
          <div class="flex flex-wrap gap-3">
            <label class="flex flex-1 flex-col gap-1"
              ><span class="field-label">Cause</span>
              <select v-model="chosen">
                <option :value="null">{{ ranked[0]?.cause.name }} (likeliest)</option>
                <option v-for="r in ranked" :key="r.cause.id" :value="r.cause.id">{{ r.cause.name }}</option>
              </select>
            </label>
            <label class="flex flex-1 flex-col gap-1"
              ><span class="field-label">What is done</span>
              <select v-model="decision">
                <option value="">{{ cause ? decisionNames[cause.decision] : '' }} (usual)</option>
                <option v-for="d in decisions" :key="d" :value="d">{{ decisionNames[d] }}</option>
              </select>
            </label>
          </div>
          <label class="flex flex-col gap-1"
            ><span class="field-label">In words</span><input v-model="words" maxlength="2000"
          /></label>
          <AppButton type="submit" kind="primary" class="self-start" data-test="record-verdict"
            >Record the verdict</AppButton
          >
          <p v-if="verdict?.decision" data-test="verdict-stands">
            ✓ {{ decisionNames[verdict.decision]
            }}{{
              verdict.cause ? `: ${allCauses.find((c) => c.id === verdict!.cause)?.name.toLowerCase()}` : ''
            }}{{ verdict.words ? `. ${verdict.words}` : '' }}
          </p>
        </form>
        <CautionNote v-if="machine"
          >Fans and pumps start by themselves: guards on, hands out; isolate, lock out and prove dead before
          anything is opened. Pressure safeties stay as they are.</CautionNote
        >
        <CautionNote v-else
          >Whether product that was out of range may be kept is for its owner and the authority to
          decide.</CautionNote
        >
      </div>
    </div>
  </section>
</template>
