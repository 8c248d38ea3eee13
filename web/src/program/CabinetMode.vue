<script setup lang="ts">
import { computed, nextTick, watch } from 'vue';
import { useRouter } from 'vue-router';
import { choiceWords, printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';
import AnswerButton from '../shared/cabinet/AnswerButton.vue';
import { alertHand } from '../shared/cabinet/alert.ts';
import CabinetFrame from '../shared/cabinet/CabinetFrame.vue';
import CabinetStrokes from '../shared/cabinet/CabinetStrokes.vue';
import { useCabinetOptions } from '../shared/cabinet/useCabinetOptions.ts';
import { useMenuClock } from '../shared/cabinet/useMenuClock.ts';
import { hush, speak } from '../shared/cabinet/voice.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import WatchedShown from './WatchedShown.vue';
import { saidOfRow } from './rowWords.ts';
import ControllerDisplay from './ControllerDisplay.vue';
import DecideFirst from './DecideFirst.vue';
import GraveLosses from './GraveLosses.vue';
import BrokenOffLine from './interrupted/BrokenOffLine.vue';
import type { Interrupted } from './interrupted/useInterrupted.ts';
import LookAlikes from './LookAlikes.vue';
import type { Cabinet } from './useCabinet.ts';
import type { Strokes } from './useStrokes.ts';

const props = defineProps<{ cabinet: Cabinet; strokes: Strokes; interrupted: Interrupted }>();
const emit = defineEmits<{ ask: []; closed: []; close: [] }>();
const job = useJob();
const session = useSession();
const router = useRouter();
const options = useCabinetOptions();
const row = computed(() => props.cabinet.current.value);
const display = computed(() => job.program.value.display!);
const unit = computed(() => [job.job.value?.unit.tag, job.job.value?.unit.name].filter(Boolean).join(' '));
const place = computed(() => `${props.cabinet.index.value + 1} of ${props.cabinet.rows.value.length}`);
const setTo = computed(() =>
  row.value ? printShown(row.value.parameter, row.value.value, display.value) : '',
);
/** What stands on the display itself: no unit, no words. */
const shows = computed(() =>
  row.value && choiceWords(row.value.parameter, row.value.value)
    ? String(row.value.value)
    : setTo.value.replace(/ .*/, ''),
);
const found = computed(() =>
  row.value === null || row.value.found === null
    ? 'not read'
    : printShown(row.value.parameter, row.value.found, display.value),
);
const ticks = computed(() => props.cabinet.rows.value.map((r) => ({ id: r.code, look: tickLook(r) })));
function tickLook(r: ProgramRow): string {
  if (r.code === row.value?.code) return 'bg-amber';
  return r.state === 'open'
    ? 'bg-hairline'
    : ['keyed', 'byPreset'].includes(r.state)
      ? 'bg-drip'
      : 'bg-alarm';
}
const lines = computed(() =>
  props.cabinet.allDone.value ? props.strokes.outLines.value : props.strokes.lines.value,
);
/** The last stroke, if it takes the value: pressed before the answer. */
const takenBy = computed(() => {
  const end = lines.value.at(-1);
  return end && end.after === 'takes it' ? `press ${end.keys.join(' and ')}, then ` : '';
});
const done = computed(() => props.cabinet.allDone.value);
/** What may be undone: the code that stands here, else the last one settled. */
const undoable = computed(() => {
  const isSettled = (r: ProgramRow) => r.state !== 'open' && r.state !== 'byPreset';
  if (row.value && isSettled(row.value)) return row.value;
  return (
    props.cabinet.rows.value.find((r) => r.code === props.cabinet.lastSettled.value && isSettled(r)) ?? null
  );
});
const clock = useMenuClock(
  () => props.strokes.timeOut.value,
  () => {
    if (options.value.sound) alertHand();
    emit('closed');
  },
);
const lastWords = computed(() => (row.value && row.value.state !== 'open' ? saidOfRow(row.value) : ''));

async function next() {
  if (!row.value || row.value.undecided) return;
  if (done.value) return emit('close');
  clock.pressed();
  await props.cabinet.keyedIn();
}
const toProve = () => router.push(`/jobs/${job.id}/prove/run`);
const back = () => props.cabinet.move(-1);
function say() {
  if (!options.value.aloud || !row.value) return;
  const strokes = lines.value.map((line) => [line.before, line.keys.join(' and '), line.after].join(' '));
  speak([row.value.parameter.name, ...strokes, `It must show ${shows.value}`].join('. '));
}
watch(
  () => [row.value?.code, options.value.aloud] as const,
  async () => {
    hush();
    await nextTick();
    say();
  },
  { immediate: true },
);
useKeys([
  { key: 'Enter', label: 'Enter', does: 'it shows that; on to the next code', run: () => void next() },
  { key: ' ', label: 'Space', does: 'it shows that; on to the next code', run: () => void next() },
  { key: 'ArrowLeft', label: '←', does: 'the code before', run: back },
  {
    key: 'ArrowRight',
    label: '→',
    does: 'the next code, without settling this',
    run: () => props.cabinet.move(1),
  },
  { key: 'e', label: 'e', does: 'it shows something else', run: () => emit('ask') },
  { key: 'Escape', label: 'Esc', does: 'leave cabinet mode', run: () => emit('close') },
]);
</script>

<template>
  <CabinetFrame
    v-if="row"
    label="Cabinet mode"
    :unit="unit"
    :place="place"
    :ticks="ticks"
    @close="emit('close')"
  >
    <div data-test="cabinet-card" :data-now="row.code">
      <BrokenOffLine class="mb-2" :interrupted="interrupted" />
      <GraveLosses class="mb-2" />
      <template v-if="done">
        <h2 class="text-[30px] leading-tight">All codes are settled</h2>
        <p class="mt-1 text-[18px] text-soft">
          {{ lines.length > 0 ? 'Leave the menu, so that everything is kept:' : 'Now prove it.' }}
        </p>
      </template>
      <template v-else>
        <h2 class="text-[30px] leading-tight">{{ row.parameter.name }}</h2>
        <p class="mt-0.5 text-[18px]">
          <span class="font-mono font-semibold">{{ row.code }}</span> <span class="text-soft">to</span>
          <strong class="ml-1 font-semibold" data-test="set-to">{{ setTo }}</strong>
          <span class="text-soft"> · found: {{ found }}</span>
        </p>
      </template>
      <DecideFirst
        v-if="!done && session.mayWrite && row.undecided"
        class="mt-3"
        :row="row"
        @leave="cabinet.leaveAtDefault(row)"
      />
      <template v-else>
        <p
          v-if="strokes.problem.value && !done"
          class="mt-3 border-l-4 border-amber bg-amber-wash px-3 py-2"
          role="status"
        >
          No strokes from here: {{ strokes.problem.value }}.
        </p>
        <CabinetStrokes v-if="lines.length > 0" class="mt-2" :lines="lines" @pressed="clock.pressed()" />
      </template>
      <p v-if="lastWords && !done" class="mt-1 text-[17px] font-medium">{{ lastWords }}</p>
      <p
        v-if="row.parameter.leaveAlone && !done"
        class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2"
      >
        Leave alone: {{ row.parameter.leaveAlone }}
      </p>
      <LookAlikes v-if="!done" class="mt-2" :cabinet="cabinet" :code="row.code" />
      <p class="mt-2 text-[15px] text-soft">
        <strong class="font-semibold">Caution. </strong>The unit may start by itself.
        {{ strokes.timeOutWords.value }}
      </p>
    </div>
    <template #display>
      <WatchedShown v-if="!done && !row.undecided" :expected="shows" />
      <div
        v-if="!done && !row.undecided"
        class="flex items-center justify-between gap-4 bg-[#050c0d] px-4 py-2 text-[15px] text-[#b5c1c2] sm:px-7"
      >
        <div>
          <p>
            <template v-if="!strokes.hasPanel.value"
              >At <span class="font-mono">{{ row.code }}</span> the</template
            ><template v-else>The</template> display<br />must show
          </p>
          <button
            v-if="clock.left.value !== null"
            type="button"
            class="min-h-11 text-left"
            role="timer"
            @click="clock.pressed()"
          >
            menu closes in <span class="font-mono text-white">{{ clock.left.value }} s</span>
          </button>
        </div>
        <ControllerDisplay :text="shows" words="" large />
      </div>
    </template>
    <template v-if="session.mayWrite" #side>
      <div class="flex flex-1 basis-0">
        <AnswerButton v-if="undoable" data-test="undo" @click="cabinet.reopen(undoable)">
          <span
            >Undo <span class="font-mono">{{ undoable.code }}</span></span
          >
        </AnswerButton>
        <AnswerButton v-if="cabinet.index.value > 0" class="border-l" @click="back">Back</AnswerButton>
      </div>
      <AnswerButton v-if="!done" class="!grow-[2]" data-test="shows-else" @click="emit('ask')">
        It shows something else
      </AnswerButton>
    </template>
    <template v-if="session.mayWrite" #main>
      <AnswerButton v-if="done" kind="main" data-test="to-prove" @click="toProve">
        <span class="text-[25px] font-semibold">Prove it</span><span>the tests of the unit</span>
      </AnswerButton>
      <AnswerButton v-else kind="main" :disabled="row.undecided" data-test="keyed-in" @click="next">
        <span class="text-[25px] font-semibold"
          >It shows <span class="font-mono">{{ shows }}</span></span
        >
        <span>{{ row.undecided ? 'decide first, above' : `${takenBy}tap here` }}</span>
      </AnswerButton>
    </template>
  </CabinetFrame>
</template>
