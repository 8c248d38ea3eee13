<script setup lang="ts">
import { computed, ref } from 'vue';
import { judgeValue } from '@brine/core/judgement/commissioning';
import { followUpOfSkipped, type RunTest } from '@brine/core/record/job';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import { borrowedLabel } from '../../shared/visit/borrowedWords.ts';
import { newId } from '../../shared/outbox/identity.ts';
import { usePictures } from '../../shared/pictures/usePictures.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import { useDraft } from '../../shared/ui/useDraft.ts';
import FollowedAnswer from './FollowedAnswer.vue';
import TestTimer from './TestTimer.vue';
import WatchedTimer from './WatchedTimer.vue';
import { readValue, resultWords, shownRange, shownValue } from './testWords.ts';
import { inDays } from '../../shared/display/dates.ts';

/** One test, opened: why, how, what to expect, what was read, what came of it. */
const props = defineProps<{ run: RunTest; editable: boolean }>();
const emit = defineEmits<{ taken: [] }>();
const job = useJob();
const display = useDisplay();
const session = useSession();
const pictures = usePictures(job.id);
const measure = computed(() => props.run.test.measure);
const { text: typed, settle: settleTyped } = useDraft(
  () =>
    props.run.value === null || !measure.value
      ? ''
      : shownValue(measure.value, props.run.value, display.unit).replace('−', '-'),
  `test-value:${job.id}:${props.run.test.id}`,
);
const { text: word, settle: settleWord } = useDraft(
  () => props.run.word,
  `test-word:${job.id}:${props.run.test.id}`,
);
const problem = ref('');
const range = computed(() => (measure.value ? shownRange(measure.value, display.unit) : ''));
const picture = ref<string | null>(props.run.picture);
const SKIP_DAYS = 7;

/** What is borrowed for it and out: nothing is proven before it is back and read back. */
const isOut = computed(() => props.run.borrowed.some(({ since }) => since !== null));
const NOT_BACK =
  'Something is borrowed for this proof: put it back and read it back, then mark it passed. What is typed stays.';
const borrowedValues = computed(() => props.run.borrowed.filter(({ setting }) => setting !== null));
const asPlanned = () =>
  job.write(
    ...borrowedValues.value.map(({ id, setting, to, tests, since, shown }) => ({
      kind: 'borrowed' as const,
      id,
      setting,
      to,
      tests: tests.filter((test) => test !== props.run.test.id),
      since,
      shown,
    })),
  );

/** Writes a result. A reading that lies outside what is expected fails whatever was pressed; a skip wants its reason and becomes a follow-up. */
async function take(result: 'passed' | 'failed' | 'skipped') {
  problem.value = '';
  const { test } = props.run;
  let value: number | null = null;
  if (measure.value && typed.value.trim() !== '') {
    value = readValue(measure.value, typed.value.trim(), display.unit);
    if (value === null)
      return void (problem.value = `${typed.value}: expected a number such as ${range.value || '4 min'}`);
  }
  if (result === 'passed' && isOut.value) return void (problem.value = NOT_BACK);
  if (result === 'skipped' && word.value.trim() === '')
    return void (problem.value = 'Say why it is skipped: the reason becomes the follow-up.');
  if (result === 'passed' && measure.value && value === null && word.value.trim() === '')
    return void (problem.value = 'Type what was read, or say in words what proves it.');
  const judged = value === null ? null : judgeValue(test, value);
  if (result === 'passed' && judged === 'failed')
    return void (problem.value = `${typed.value} lies outside ${range.value}: mark it failed, or read again.`);
  settleTyped();
  settleWord();
  await job.write(
    { kind: 'test', test: test.id, result, value, word: word.value.trim(), picture: picture.value },
    ...(result === 'skipped' ? [followUpOfSkipped(test, word.value.trim(), inDays(SKIP_DAYS))] : []),
    ...(props.run.startedAt ? [{ kind: 'timer' as const, test: test.id, startedAt: null }] : []),
  );
  emit('taken');
}
/** What is timed is judged by the time itself: one touch when it begins, one when it ends. */
async function ended(seconds: number) {
  const { test } = props.run;
  const value = measure.value?.unit === 'min' ? seconds / 60 : seconds;
  if (isOut.value && measure.value) {
    typed.value = shownValue(measure.value, value, display.unit);
    problem.value = NOT_BACK;
    await job.write({ kind: 'timer', test: test.id, startedAt: null });
    return;
  }
  await job.write(
    {
      kind: 'test',
      test: test.id,
      result: judgeValue(test, value) ?? 'passed',
      value,
      word: word.value.trim(),
      picture: picture.value,
    },
    { kind: 'timer', test: test.id, startedAt: null },
  );
  settleWord();
  emit('taken');
}
const timed = computed(() => measure.value?.unit === 'min' || measure.value?.unit === 's');
const clear = () =>
  job.write({ kind: 'test', test: props.run.test.id, result: null, value: null, word: '', picture: null });
async function addPicture(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  try {
    const id = newId();
    const { width, height } = await pictures.take(id, file);
    await job.write({ kind: 'picture', id, caption: props.run.test.title, width, height, points: [] });
    picture.value = id;
  } catch (error) {
    problem.value = (error as Error).message;
  }
}
</script>

<template>
  <div class="flex flex-col gap-3 py-3" :data-test-id="run.test.id">
    <p class="text-[14.5px]"><span class="text-soft">Why: </span>{{ run.test.why }}</p>
    <ol class="list-decimal pl-5 text-[14.5px]">
      <li v-for="step in run.test.how" :key="step">{{ step }}</li>
    </ol>
    <p><strong class="font-semibold">Expect: </strong>{{ run.test.expect }}</p>
    <p
      v-if="borrowedValues.length > 0"
      class="border-l-4 border-amber pl-3 text-[14.5px]"
      data-test="judged-borrowed"
    >
      Judged with {{ borrowedValues.map((one) => borrowedLabel(one, display.unit)).join(' and ') }}, borrowed
      for it.
      <button v-if="session.mayWrite && !isOut" type="button" class="link" @click="asPlanned">
        Judge it by the plan
      </button>
    </p>
    <CautionNote v-if="run.test.caution">{{ run.test.caution }}</CautionNote>
    <TestTimer
      v-if="(run.test.wait || timed) && !run.result"
      :started-at="run.startedAt"
      :wait="run.test.wait"
      :timed="timed"
      :editable="editable"
      @start="job.write({ kind: 'timer', test: run.test.id, startedAt: new Date().toISOString() })"
      @ended="ended"
      @stop="job.write({ kind: 'timer', test: run.test.id, startedAt: null })"
    />
    <WatchedTimer
      v-if="timed && editable && !run.result"
      :started-at="run.startedAt"
      @start="(at) => job.write({ kind: 'timer', test: run.test.id, startedAt: new Date(at).toISOString() })"
      @ended="ended"
    />
    <FollowedAnswer v-if="editable" :run="run" @taken="$emit('taken')" />
    <div v-if="editable" class="flex flex-wrap items-end gap-3">
      <label v-if="measure" class="flex flex-col gap-1"
        ><span class="field-label"
          >{{ measure.label }}<span v-if="range" class="font-normal text-soft">, {{ range }}</span></span
        >
        <input
          v-model="typed"
          class="w-32 font-mono"
          inputmode="decimal"
          :aria-invalid="problem !== ''"
          data-test="test-value"
          @keydown.enter="take('passed')"
      /></label>
      <label class="flex min-w-48 flex-1 flex-col gap-1"
        ><span class="field-label">In words</span
        ><input
          v-model="word"
          maxlength="2000"
          data-test="test-word"
          placeholder="What was seen; or why it is skipped"
      /></label>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="editable" class="flex flex-wrap items-center gap-2">
      <AppButton kind="primary" data-test="pass" @click="take('passed')">Passed</AppButton>
      <AppButton data-test="fail" @click="take('failed')">Failed</AppButton>
      <AppButton data-test="skip" @click="take('skipped')">Skip</AppButton>
      <label
        class="inline-flex min-h-9 pointer-coarse:min-h-11 cursor-pointer items-center px-2 text-[15px] font-medium text-brine underline underline-offset-2 focus-within:outline-2"
        >{{ picture ? 'Another picture' : 'Add a picture'
        }}<input type="file" accept="image/*" capture="environment" class="sr-only" @change="addPicture"
      /></label>
      <AppButton v-if="run.result" kind="quiet" @click="clear">Open again</AppButton>
    </div>
    <p v-if="picture" class="hint">A picture is kept with this test.</p>
    <p v-if="run.result" class="text-[14.5px]" :class="{ 'text-alarm': run.result === 'failed' }">
      {{ resultWords[run.result]
      }}<template v-if="run.value !== null && measure"
        >: {{ shownValue(measure, run.value, display.unit) }}</template
      ><template v-if="run.word">, {{ run.word }}</template>
    </p>
  </div>
</template>
