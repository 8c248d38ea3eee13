<script setup lang="ts">
import { computed, ref } from 'vue';
import { isQuantity, printFor, printNumber, quantity, valueIn } from '@brine/core/foundation/quantities';
import { plateAgainst, readPlate } from '@brine/core/foundation/unit';
import { answersOf } from '@brine/core/record/job';
import { within, type Question } from '@brine/core/judgement/survey';
import type { Body } from '@brine/core/record/fold';
import { useDisplay } from '../shared/display/displayStore.ts';
import { readTemperature } from '../shared/display/readTemperature.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import { useSession } from '../shared/session/sessionStore.ts';

const props = defineProps<{ question: Question }>();
const job = useJob();
const display = useDisplay();
const session = useSession();
const answer = computed(() => answersOf(job.state.value).get(props.question.id));
const options = computed(() =>
  'options' in props.question.form ? Object.entries(props.question.form.options) : [],
);
const form = computed(() => props.question.form.type);
const list = computed(() => (Array.isArray(answer.value) ? (answer.value as readonly string[]) : []));
const { text, settle } = useDraft(() => {
  const value = answer.value;
  if (isQuantity(value)) return printNumber(valueIn(value, display.unit), 1);
  return typeof value === 'string' ? value : '';
});
const problem = ref<string | null>(null);
const isAmbient = computed(() => props.question.id === 'ambient');
const placeholder = computed(() =>
  props.question.form.type === 'text'
    ? `for example ${props.question.form.example}`
    : `for example ${display.show(quantity(isAmbient.value ? 32 : 5, 'degC'))}`,
);
const id = computed(() => `question-${props.question.id}`);

/** What the unit's plate says of this, where it is not answered so: said once, it need not be typed again. */
const plate = computed(() => {
  const text = job.job.value?.unit.plate ?? '';
  const question = props.question.id;
  if (question !== 'supply' && question !== 'refrigerant') return null;
  return typeof answer.value === 'string' && answer.value !== ''
    ? plateAgainst(text, question, answer.value)
    : (readPlate(text)[question] ?? null);
});
const say = (value: Body<'answer'>['value']) =>
  job.write({ kind: 'answer', question: props.question.id, value });
function choose(event: Event) {
  const { value } = event.target as HTMLSelectElement;
  void say(value === '' ? null : value);
}
function toggle(option: string) {
  const next = list.value.includes(option) ? list.value.filter((o) => o !== option) : [...list.value, option];
  void say(options.value.map(([o]) => o).filter((o) => next.includes(o)));
}
function takeText() {
  const typed = text.value.trim();
  problem.value = null;
  if (form.value === 'text') {
    if (settle() && typed !== (answer.value ?? '')) void say(typed);
    return;
  }
  if (typed === '') {
    return void (settle() && answer.value !== undefined && say(null));
  }
  const read = readTemperature(typed, display.unit);
  if (!read.ok) problem.value = read.problem;
  const range = props.question.form;
  if (read.ok && range.type === 'temperature' && !within(read.value, range)) {
    const [low, high] = [range.from, range.to].map((c) => printFor(quantity(c, 'degC'), display.unit));
    return void (problem.value = `${typed}: expected ${low} to ${high}.`);
  }
  if (
    read.ok &&
    settle() &&
    !(isQuantity(answer.value) && Math.abs(valueIn(answer.value, read.value.unit) - read.value.value) < 0.05)
  )
    void say(read.value);
}
</script>

<template>
  <div
    :id="id"
    class="grid gap-x-4 gap-y-1 border-b border-hairline py-2.5 sm:grid-cols-[minmax(0,15rem)_minmax(0,1fr)]"
    :data-question="question.id"
  >
    <component :is="form === 'list' || form === 'yesNo' ? 'span' : 'label'" :for="`${id}-field`">
      <span class="field-label text-[15px]"
        >{{ question.label
        }}<span v-if="question.required" class="text-amber" title="needed for a plan">
          ●<span class="sr-only"> needed</span></span
        ></span
      >
      <span class="hint block">{{ question.why }}</span>
    </component>
    <div class="self-center">
      <select
        v-if="form === 'choice'"
        :id="`${id}-field`"
        class="w-full max-w-sm"
        :disabled="!session.mayWrite"
        :value="answer ?? ''"
        @change="choose"
      >
        <option value="">not answered</option>
        <option v-for="[value, name] in options" :key="value" :value="value">{{ name }}</option>
      </select>
      <div
        v-else-if="form === 'list'"
        role="group"
        :aria-label="question.label"
        class="flex flex-wrap gap-x-5 gap-y-2"
      >
        <label
          v-for="[value, name] in options"
          :key="value"
          class="flex min-h-8 pointer-coarse:min-h-11 items-center gap-2"
          ><input
            type="checkbox"
            :checked="list.includes(value)"
            :disabled="!session.mayWrite"
            :value="value"
            @change="toggle(value)"
          />{{ name }}</label
        >
      </div>
      <div v-else-if="form === 'yesNo'" role="radiogroup" :aria-label="question.label" class="flex gap-5">
        <label class="flex min-h-8 pointer-coarse:min-h-11 items-center gap-2"
          ><input
            type="radio"
            :name="id"
            :checked="answer === true"
            :disabled="!session.mayWrite"
            @change="say(true)"
          />Yes</label
        >
        <label class="flex min-h-8 pointer-coarse:min-h-11 items-center gap-2"
          ><input
            type="radio"
            :name="id"
            :checked="answer === false"
            :disabled="!session.mayWrite"
            @change="say(false)"
          />No</label
        >
      </div>
      <div v-else class="flex items-center gap-2">
        <input
          :id="`${id}-field`"
          v-model="text"
          class="w-full max-w-sm"
          :class="{ '!w-28': form === 'temperature' }"
          :placeholder="placeholder"
          :disabled="!session.mayWrite"
          :aria-invalid="problem !== null"
          @change="takeText"
          @keydown.enter="takeText"
        />
        <span v-if="form === 'temperature'" class="text-soft">{{ display.symbol }}</span>
      </div>
      <p v-if="problem" class="problem mt-1">{{ problem }}</p>
      <p v-if="plate" class="mt-1 text-[14px]" data-test="plate-says">
        The plate says {{ plate }}{{ answer ? ': which is right?' : '.' }}
        <button v-if="session.mayWrite" type="button" class="link" @click="say(plate)">
          Take {{ plate }}
        </button>
      </p>
    </div>
  </div>
</template>
