<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { displayOf, parameterOf } from '@brine/core/controllers';
import { printShown } from '@brine/core/handover';
import {
  CannotPlan,
  planKeys,
  strokesFor,
  strokesOut,
  strokeSentence,
  type Machine,
} from '@brine/core/panel';
import { findChangedDrill, markDrill, setValuesDrill, type Drill, type Mark } from '@brine/core/practice';
import AppButton from '../shared/ui/AppButton.vue';
import type { LivePanel } from './useLivePanel.ts';

/** An exercise: what is asked, a hint for the next strokes, the time, the mark and one's strokes. */
const props = defineProps<{ machine: Machine; live: LivePanel }>();
const drill = ref<Drill | null>(null);
const mark = ref<Mark | null>(null);
const seconds = ref(0);
const hints = ref<readonly string[]>([]);
const hinted = ref(0);
let began = 0;
const clock = setInterval(() => {
  if (drill.value && !mark.value) seconds.value = Math.floor((performance.now() - began) / 1000);
}, 500);
onBeforeUnmount(() => clearInterval(clock));

const fewest = computed(() => {
  if (!drill.value) return 0;
  const wishes = drill.value.kind === 'setValues' ? drill.value.goal : back.value;
  const { steps } = planKeys(props.machine, drill.value.begins, wishes);
  return steps.reduce((sum, step) => sum + (step.times ?? 1), 0);
});
/** What must be set back where somebody changed a value. */
const back = computed(() =>
  [...(drill.value?.ends ?? [])]
    .filter(([code, value]) => drill.value!.begins.get(code) !== value)
    .map(([code, value]) => ({ code, value })),
);
const lines = computed(() =>
  (drill.value?.goal ?? []).map(({ code, value }) => {
    const parameter = parameterOf(props.machine.definition, code)!;
    const display = displayOf(props.machine.definition, drill.value!.ends);
    return { code, name: parameter.name, value: printShown(parameter, value, display) };
  }),
);

function start(kind: Drill['kind']) {
  const made =
    kind === 'setValues'
      ? setValuesDrill(props.machine, Math.random)
      : findChangedDrill(props.machine, Math.random);
  drill.value = made;
  mark.value = null;
  hints.value = [];
  hinted.value = 0;
  seconds.value = 0;
  began = performance.now();
  props.live.begin(made.begins);
}

function finish() {
  mark.value = markDrill(drill.value!, props.live.state.value);
  hints.value = [];
}

/** The strokes to the next code that is not right yet, from where the display stands. */
function hint() {
  const state = props.live.state.value;
  const standing = new Map([...state.memory, ...state.hand]);
  const wishes = drill.value!.kind === 'setValues' ? drill.value!.goal : back.value;
  const next = wishes.find(({ code, value }) => standing.get(code) !== value);
  const at = state.phase === 'list' && state.at && 'code' in state.at ? state.at.code : null;
  hinted.value += 1;
  if (state.phase !== 'rest' && at === null) {
    hints.value = ['Take or drop the value on the display first; then ask again.'];
    return;
  }
  try {
    const steps = next
      ? strokesFor(props.machine, standing, next, at).steps
      : at === null
        ? []
        : strokesOut(props.machine, standing, at);
    hints.value = steps.length
      ? steps.map((step) => strokeSentence(props.machine.panel, step))
      : ['Everything is right: leave the menu if you have not, and finish.'];
  } catch (error) {
    if (!(error instanceof CannotPlan)) throw error;
    hints.value = [error.message];
  }
}
const strokes = computed(() =>
  props.live.done.value.map(
    ({ act, shows }) => `${strokeSentence(props.machine.panel, { ...act, shows })}: ${shows}`,
  ),
);
</script>

<template>
  <section aria-label="Drill" class="flex flex-col gap-4">
    <div>
      <h2>Drills</h2>
      <p class="hint mt-1">Marked by what is stored at the end, and that the menu was left.</p>
      <div class="mt-3 flex flex-wrap gap-2">
        <AppButton data-test="drill-set" @click="start('setValues')">Set five values</AppButton>
        <AppButton data-test="drill-find" @click="start('findChanged')">Find what was changed</AppButton>
      </div>
    </div>
    <template v-if="drill">
      <div>
        <h3>
          {{ drill.kind === 'setValues' ? 'Set these' : 'One value differs from this sheet: set it back' }}
          <span class="ml-2 font-mono font-normal text-soft" data-test="drill-time">{{ seconds }} s</span>
        </h3>
        <table class="table-plain mt-1" data-test="drill-goal">
          <tbody>
            <tr v-for="line in lines" :key="line.code" class="[&>td]:!py-1">
              <td class="w-20 font-mono font-semibold">{{ line.code }}</td>
              <td>{{ line.name }}</td>
              <td class="text-right font-mono font-semibold whitespace-nowrap">{{ line.value }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="!mark" class="flex flex-wrap gap-2">
        <AppButton kind="primary" data-test="drill-finish" @click="finish">Finished</AppButton>
        <AppButton data-test="drill-hint" @click="hint">Show the next strokes</AppButton>
      </div>
      <ol v-if="hints.length > 0" class="list-decimal pl-5" data-test="drill-hints">
        <li v-for="(line, i) in hints" :key="i">{{ line }}</li>
      </ol>
      <div
        v-if="mark"
        class="border-l-4 px-3 py-2"
        :class="mark.passed ? 'border-good bg-good-wash' : 'border-alarm bg-alarm-wash'"
        data-test="drill-mark"
      >
        <p class="font-semibold">
          {{ mark.passed ? `✓ All right, in ${seconds} s` : '✗ Not yet' }}
          <template v-if="mark.passed"
            >with {{ strokes.length }} strokes; {{ fewest }} would do<template v-if="hinted > 0"
              >, {{ hinted }} {{ hinted === 1 ? 'hint' : 'hints' }}</template
            >.</template
          >
        </p>
        <p v-for="w in mark.wrong" :key="w.code">
          {{ w.code }} stands at <span class="font-mono">{{ w.stored }}</span>, expected
          <span class="font-mono">{{ w.wanted }}</span>.
        </p>
        <p v-if="!mark.atRest">The menu is still open: leave it, or a time-out may drop what was set.</p>
      </div>
      <details v-if="strokes.length > 0">
        <summary class="link py-1">Your {{ strokes.length }} strokes</summary>
        <ol class="list-decimal pl-6 text-[14px]">
          <li v-for="(line, i) in strokes" :key="i">{{ line }}</li>
        </ol>
      </details>
    </template>
  </section>
</template>
