<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { printValue, settingOf } from '@brine/core/foundation/settings';
import { readTypedCode, sameCodeValue } from '@brine/core/controllers/definitions';
import { airNow, movedCode, outNow, readsTheAir, type BorrowedThing } from '@brine/core/record/job';
import { valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../shared/display/displayStore.ts';
import { localTime } from '../shared/display/localTime.ts';
import { readTemperature } from '../shared/display/readTemperature.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import TakeRead from '../shared/watch/TakeRead.vue';
import { useWatchHere } from '../shared/watch/useWatchHere.ts';
import { borrowedLabel, shownCode } from '../shared/visit/borrowedWords.ts';
import { movedStrokes } from '../shared/visit/movedStrokes.ts';

/** What is borrowed for a proof and not back, on every page of the job: put back, read back, and only then gone from here. */
const job = useJob();
const { isOn: isWatching } = useWatchHere();
const session = useSession();
const display = useDisplay();
const typed = reactive<Record<string, string>>({});
const problem = ref<Record<string, string>>({});
const things = computed(() =>
  outNow(job.state.value).map((thing) => {
    const { setting, to } = thing;
    const definition = job.replacement.value;
    const moved =
      setting !== null && to !== null && definition
        ? movedCode(job.program.value, definition, setting, to)
        : null;
    const shows = job.program.value.display;
    return {
      thing,
      moved,
      words:
        setting !== null && to !== null
          ? `${settingOf(setting).label} ${moved && shows ? shownCode(moved.row.parameter, moved.value, shows) : printValue(settingOf(setting), to, display.unit)}`
          : borrowedLabel(thing, display.unit),
      back: moved && shows ? shownCode(moved.row.parameter, moved.row.value, shows) : null,
      strokes: moved ? movedStrokes(job, moved.row.code, moved.value, moved.row.value) : null,
    };
  }),
);
type Thing = (typeof things.value)[number];
function refuse(id: string, words: string): void {
  problem.value = { ...problem.value, [id]: words };
}
/** What is typed as the reading after it was put back: it must be what the plan says, or the air of before. */
async function takeBack({ thing, moved, back }: Thing) {
  const text = (typed[thing.id] ?? '').trim();
  if (text === '') return refuse(thing.id, 'Type what the display shows now that it is back.');
  if (moved) {
    const read = readTypedCode(job.replacement.value!, moved.row.parameter, text, job.program.value.display!);
    if ('problem' in read) return refuse(thing.id, `${read.problem}.`);
    if (!sameCodeValue(read.value, moved.row.value))
      return refuse(
        thing.id,
        `${moved.row.code} shows ${text}; planned is ${back}. It is not back: key it once more.`,
      );
  } else {
    const read = readTemperature(text, display.unit);
    if (!read.ok) return refuse(thing.id, read.problem);
    const air = airNow(job.state.value, job.program.value, job.proving.value, null, new Date());
    if (!readsTheAir(job.program.value, air, valueIn(read.value, 'degC')))
      return refuse(
        thing.id,
        `${text} is far from the air of before: wait until it has settled, or look where the probe hangs.`,
      );
  }
  await write(thing, text);
}
async function write({ id, setting, to, tests }: BorrowedThing, shown: string) {
  await job.write({ kind: 'borrowed', id, setting, to, tests: [...tests], since: null, shown });
  delete typed[id];
  const { [id]: _, ...rest } = problem.value;
  problem.value = rest;
}
</script>

<template>
  <ul
    v-if="things.length > 0"
    class="shrink-0 border-b-2 border-amber bg-amber-wash px-3 py-2 sm:px-5 print:hidden"
    aria-label="Borrowed"
    data-test="borrowed"
  >
    <li v-for="one in things" :key="one.thing.id" class="py-1" :data-borrowed="one.thing.id">
      <p>
        <strong class="font-semibold">Borrowed: {{ one.words }}</strong
        ><template v-if="one.thing.since">, since {{ localTime(one.thing.since) }}</template
        >. {{ one.back === null ? 'Hang it back' : `Put ${one.moved?.row.code} back to ${one.back}` }} and
        read it back before you leave.
      </p>
      <form
        v-if="session.mayWrite"
        class="mt-1 flex flex-wrap items-end gap-x-3 gap-y-1"
        @submit.prevent="takeBack(one)"
      >
        <label class="flex flex-col gap-1"
          ><span class="field-label">It shows now</span
          ><input
            v-model="typed[one.thing.id]"
            class="w-28 font-mono"
            inputmode="text"
            maxlength="40"
            autocomplete="off"
            data-test="back-shows"
        /></label>
        <AppButton type="submit" data-test="take-back">It is back</AppButton>
        <TakeRead v-if="isWatching" @read="typed[one.thing.id] = $event" />
        <details v-if="one.strokes && one.strokes.lines.length > 0" class="text-[14.5px]">
          <summary class="link min-h-9 content-center pointer-coarse:min-h-11">Keys to put it back</summary>
          <ol class="list-decimal pl-6">
            <li v-for="(line, i) in one.strokes.lines" :key="i">{{ line }}</li>
          </ol>
        </details>
        <p v-if="problem[one.thing.id]" class="problem basis-full" role="alert">
          {{ problem[one.thing.id] }}
        </p>
      </form>
    </li>
  </ul>
</template>
