<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { mainMenuOf } from '@brine/core/controllers/definitions';
import { panelWords } from '@brine/core/controllers/panel';
import AnswerButton from '../../shared/cabinet/AnswerButton.vue';
import CabinetFrame from '../../shared/cabinet/CabinetFrame.vue';
import CabinetStrokes from '../../shared/cabinet/CabinetStrokes.vue';
import ShownValue from '../../shared/cabinet/ShownValue.vue';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import type { Interrupted } from './useInterrupted.ts';

/** Work at the panel was broken off: the codes to read that tell what the control kept, one at a time, and what is to be keyed anew. */
const props = defineProps<{ interrupted: Interrupted }>();
const emit = defineEmits<{ taken: [standsAt: string | null] }>();
const job = useJob();
const session = useSession();
const { next, step, outcome, taken, needed, leftOver, machine } = props.interrupted;
/** First of all the menu is closed: what it still held is gone or kept by then. */
const closed = ref(false);
const typed = ref('');
const wrong = ref<string | null>(null);
const other = ref(false);
watch(
  () => next.value?.code,
  () => {
    typed.value = '';
    wrong.value = null;
    other.value = false;
  },
);
const unit = computed(() => [job.job.value?.unit.tag, job.job.value?.unit.name].filter(Boolean).join(' '));
const timeOut = computed(() => (machine.value ? (panelWords(machine.value.definition)?.timeOut ?? '') : ''));
const closesByItself = computed(
  () => machine.value !== null && mainMenuOf(machine.value.definition)?.timeOut !== undefined,
);
const parameter = computed(() => (next.value ? machine.value?.parameters.get(next.value.code) : undefined));
/** Few are buttons; more are typed. */
const MOST_BUTTONS = 5;
const answers = computed(() => [...(next.value?.shows.keys() ?? [])].toSorted());
const asButtons = computed(() => answers.value.length <= MOST_BUTTONS && !other.value);
const place = computed(() => {
  if (!closed.value) return '';
  if (outcome.value || !next.value) return 'found out';
  return `reading ${taken.value.length + 1}, ${needed.value} at most`;
});
const lines = computed(() => [...leftOver.value, ...(step.value?.lines ?? [])]);
const ticks = computed(() =>
  Array.from({ length: Math.max(needed.value, taken.value.length) }, (_, i) => ({
    id: String(i),
    look: i < taken.value.length ? 'bg-drip' : i === taken.value.length ? 'bg-amber' : 'bg-hairline',
  })),
);
const list = (codes: readonly string[]) => codes.join(', ');
function say() {
  if (typed.value.trim() === '') return;
  wrong.value = props.interrupted.showsElse(typed.value);
}
async function take() {
  emit('taken', await props.interrupted.take());
}
</script>

<template>
  <CabinetFrame
    label="What the control kept"
    :unit="unit"
    :place="place"
    :ticks="ticks"
    @close="interrupted.close()"
  >
    <div data-test="what-was-kept" :data-now="next?.code ?? ''" :data-reading="taken.length">
      <FormProblem v-if="interrupted.problem.value" :message="interrupted.problem.value" />
      <template v-if="!closed">
        <h2 class="text-[30px] leading-tight">Let the menu close</h2>
        <p class="mt-2 text-[19px]">
          {{
            closesByItself
              ? 'Press nothing until the display shows its usual reading.'
              : 'This menu does not close by itself: leave it, or switch the supply of the control off and on.'
          }}
          What the menu still held is then kept or gone, and a few codes tell which.
        </p>
        <p class="mt-2 text-[17px] text-soft">{{ timeOut }}</p>
      </template>
      <p v-else-if="interrupted.running.value" class="text-[19px]" role="status">
        Working out what the control may hold …
      </p>
      <template v-else-if="next && parameter">
        <h2 class="text-[30px] leading-tight">{{ parameter.name }}</h2>
        <p class="mt-0.5 text-[18px]">
          Read <span class="font-mono font-semibold">{{ next.code }}</span>; change nothing.
        </p>
        <p v-if="step?.problem" class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2" role="status">
          No strokes from here: {{ step.problem }}.
        </p>
        <CabinetStrokes class="mt-2" :lines="lines" />
        <p v-if="other || !asButtons" class="mt-2 text-[17px] text-soft">
          It may show {{ answers.join(' or ') }}.
        </p>
        <FormProblem v-if="wrong" class="mt-2" :message="wrong" />
      </template>
      <template v-else-if="outcome">
        <h2 class="text-[30px] leading-tight">
          {{
            outcome.lost.length === 0
              ? 'All that was ticked is in the control'
              : outcome.kept.length === 0
                ? 'Nothing of it was kept'
                : `${outcome.lost.length} of ${outcome.lost.length + outcome.kept.length} to be keyed anew`
          }}
        </h2>
        <p v-if="outcome.lost.length > 0" class="mt-2 text-[19px]">
          Key anew: <strong class="font-mono" data-test="lost-codes">{{ list(outcome.lost) }}</strong>
        </p>
        <p v-if="outcome.untold.length > 0" class="mt-1 text-[17px] text-soft">
          No display tells of {{ list(outcome.untold) }}.
        </p>
        <p v-if="outcome.kept.length > 0" class="mt-2 text-[19px]">
          In the control: <span class="font-mono" data-test="kept-codes">{{ list(outcome.kept) }}</span>
        </p>
        <p v-if="taken.length === 0" class="mt-2 text-[17px] text-soft">
          Nothing need be read: on this panel it comes out the same, wherever it was broken off.
        </p>
        <p v-else class="mt-2 text-[17px] text-soft">
          Read: {{ taken.map((one) => `${one.code} shows ${one.shown}`).join(', ') }}.
        </p>
        <CabinetStrokes v-if="leftOver.length > 0" class="mt-2" :lines="leftOver" />
      </template>
      <p class="mt-3 text-[15px] text-soft">
        <strong class="font-semibold">Caution. </strong>The unit may start by itself.
        {{ closed && !outcome ? timeOut : '' }}
      </p>
    </div>
    <template v-if="session.mayWrite" #side>
      <AnswerButton v-if="closed && next && !outcome" data-test="shows-other" @click="other = !other">{{
        other ? 'One of those above' : 'It shows something else'
      }}</AnswerButton>
      <AnswerButton data-test="leave-it" @click="interrupted.close()">Leave it</AnswerButton>
    </template>
    <template v-if="session.mayWrite" #main>
      <AnswerButton v-if="!closed" kind="main" data-test="menu-closed" @click="closed = true">
        <span class="text-[25px] font-semibold">It shows its usual reading</span><span>tap here</span>
      </AnswerButton>
      <AnswerButton
        v-else-if="outcome"
        kind="main"
        :disabled="interrupted.running.value"
        data-test="take-it"
        @click="take"
      >
        <span class="text-[25px] font-semibold">Go on from here</span
        ><span>{{ outcome.lost.length > 0 ? `at ${outcome.lost[0]}` : 'nothing is lost' }}</span>
      </AnswerButton>
      <div v-else-if="next && asButtons" class="flex flex-col overflow-auto">
        <AnswerButton
          v-for="words in answers"
          :key="words"
          kind="main"
          class="border-t border-paper"
          :data-shows="words"
          @click="interrupted.shows(words)"
        >
          <span class="text-[25px] font-semibold"
            >It shows <span class="font-mono">{{ words }}</span></span
          >
        </AnswerButton>
      </div>
      <ShownValue
        v-else-if="next"
        v-model="typed"
        words="It shows that"
        data-test="kept-value"
        keypad="text"
        @shown="say"
      />
    </template>
  </CabinetFrame>
</template>
