<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { askSaving, type Asking, type AskPlan, type Doubt } from '@brine/core/judgement/asking';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import { lastsWords, savingView, trialView, type AskView } from './askWords.ts';
import { writeDown } from './correct.ts';
import type { WritesDown } from './writesDown.ts';

/** A doubt of the booklet, asked of the control: the shortest trial with hand, ice water and stopwatch, what each meaning shows, and what is written down then. */
const props = defineProps<{ doubts: readonly Doubt[]; live: WritesDown }>();
/** The doubt as it was when it was asked: what is written down changes the list. */
const doubt = shallowRef<Doubt | null>(null);
const plan = shallowRef<AskPlan | null>(null);
const at = shallowRef<Asking | null>(null);
const told = ref<number | null>(null);
const neither = ref(false);
const written = ref(false);
const done = ref(0);
const { running, problem, start, stop } = latestRun();
function ask(one: Doubt) {
  stop();
  doubt.value = one;
  plan.value = null;
  again();
  if (one.kind === 'saving') return;
  done.value = 0;
  void start(async ({ signal, isCurrent }) => {
    const share = (now: number) => isCurrent() && (done.value = now);
    const found = await core.run('askController', { doubt: one }, { signal, share });
    if (!isCurrent()) return;
    plan.value = found;
    at.value = found.asking;
  });
}
if (props.doubts.length === 1) ask(props.doubts[0]!);
const saving = computed(() => (doubt.value?.kind === 'saving' ? askSaving(doubt.value) : null));
const view = computed<AskView | null>(() =>
  saving.value ? savingView(saving.value) : at.value && trialView(at.value),
);
/** Codes that are keyed before the first trial. */
const first = computed(() => (at.value === plan.value?.asking ? (plan.value?.first ?? []) : []));
function again() {
  told.value = null;
  neither.value = false;
  written.value = false;
  at.value = plan.value?.asking ?? null;
}
function saw({ meanings, then }: AskView['outcomes'][number]) {
  if (meanings.length === 1) told.value = meanings[0]!;
  else at.value = then;
}
function write() {
  writeDown(props.live, doubt.value!, told.value!);
  written.value = true;
}
const ids = (indices: readonly number[]) => indices.map((i) => doubt.value!.meanings[i]!.id).join('+');
const words = (indices: readonly number[]) =>
  indices.map((i) => doubt.value!.meanings[i]!.words).join(', or ');
</script>

<template>
  <div
    class="mt-1 max-w-2xl border-l-4 border-amber bg-paper px-3 py-2 whitespace-normal print:hidden"
    data-test="ask-control"
  >
    <div v-if="doubts.length > 1" class="mb-2 flex flex-wrap gap-2">
      <AppButton
        v-for="one in doubts"
        :key="one.id"
        :kind="one.id === doubt?.id ? 'primary' : undefined"
        :data-doubt="one.id"
        @click="ask(one)"
        >{{ one.words }}</AppButton
      >
    </div>
    <template v-if="doubt">
      <p class="font-semibold">{{ doubt.words }}</p>
      <p class="text-[14px] text-soft">Either {{ doubt.meanings.map((one) => one.words).join(', or ') }}.</p>
      <p v-if="problem" class="problem">{{ problem }}</p>
      <p v-if="running" role="status">Looking for the shortest trial … {{ Math.round(100 * done) }} %</p>
      <template v-else-if="told !== null">
        <p class="mt-2 border-l-4 border-good bg-good-wash px-3 py-2" role="status" data-test="ask-told">
          The control says: {{ doubt.meanings[told]!.words }}.
        </p>
        <p v-if="told === 0" class="mt-1">So it stands already.</p>
        <p v-else-if="written" class="mt-1" data-test="ask-written">✓ Written down so.</p>
        <AppButton v-else class="mt-2" kind="primary" data-test="ask-write" @click="write"
          >Write it down so</AppButton
        >
        <AppButton class="mt-2" kind="quiet" @click="again">Once more</AppButton>
      </template>
      <p v-else-if="neither" class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2" role="status">
        Then none of these meanings holds, or another code is not as it was keyed first: look at those, and at
        which terminal the probe is on.
        <button type="button" class="link" @click="again">Once more</button>
      </p>
      <template v-else-if="view">
        <p v-if="at" class="mt-1 text-[14px]">About {{ lastsWords(at.seconds) }} at the control.</p>
        <details v-if="first.length > 0" class="mt-1 text-[14.5px]">
          <summary class="link min-h-9 content-center pointer-coarse:min-h-11">
            First key these {{ first.length }} codes, so that it answers at once
          </summary>
          <p class="font-mono">{{ first.map(({ code, value }) => `${code} ${value}`).join(', ') }}</p>
          <p class="text-soft">Everything else as it came.</p>
        </details>
        <ol class="mt-1 list-decimal pl-6" data-test="ask-steps">
          <li v-for="line in view.steps" :key="line">{{ line }}</li>
        </ol>
        <p class="mt-2 font-semibold">What did you see?</p>
        <div class="mt-1 flex flex-col items-start gap-2">
          <button
            v-for="outcome in view.outcomes"
            :key="ids(outcome.meanings)"
            type="button"
            class="w-full border border-edge bg-sheet px-3 py-2 text-left pointer-coarse:min-h-11"
            :data-meaning="ids(outcome.meanings)"
            @click="saw(outcome)"
          >
            {{ outcome.words }}
            <span class="block text-[13.5px] text-soft">So: {{ words(outcome.meanings) }}</span>
          </button>
          <AppButton kind="quiet" data-test="ask-neither" @click="neither = true">Something else</AppButton>
        </div>
        <CautionNote class="mt-2"
          >What hangs on the relays starts by itself: isolate the loads, or keep hands out. Touch probe wires
          only, never mains.</CautionNote
        >
      </template>
      <p v-else class="mt-2" data-test="ask-none">
        {{
          doubt.kind === 'saving'
            ? 'Its keys are not written down far enough to say which ones to press.'
            : 'Nothing that a hand, water and a stopwatch can do tells these apart. Ask the maker, or leave it open.'
        }}
      </p>
    </template>
  </div>
</template>
