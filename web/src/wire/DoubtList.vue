<script setup lang="ts">
import { computed, ref } from 'vue';
import { doubtWords, usualDoubts, type DoubtFact } from '@brine/core/wiring/unsure';
import { meterUnitOf, type Place } from '@brine/core/wiring/readings';
import { useJob } from '../shared/job/useJob.ts';
import { newId } from '../shared/outbox/identity.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { handOn } from '../shared/ui/handOn.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import { stateWords } from './terminalWords.ts';
import { placeWords, readTyped, shownReading, typedForm } from './meterWords.ts';
import { useNarrowed } from './useNarrowed.ts';

const props = defineProps<{ editable: boolean }>();
const job = useJob();
const wiring = computed(() => job.wiring.value);
const found = computed(() => wiring.value.found);
const doubts = computed(() => wiring.value.doubts);
const { narrowed, problem: failed } = useNarrowed(
  found,
  computed(() => doubts.value.map((d) => d.what)),
  computed(() => wiring.value.readings.found),
);
/** Questions that make sense for this circuit and are not asked yet. */
const askable = computed(() => {
  const known = new Set(doubts.value.map((d) => JSON.stringify(d.what)));
  return found.value ? usualDoubts(found.value).filter((fact) => !known.has(JSON.stringify(fact))) : [];
});
const add = (fact: DoubtFact) => job.write({ kind: 'doubt', id: newId(), fact });
const drop = (id: string) => job.write({ kind: 'doubt', id, fact: null });
const next = computed(() => narrowed.value?.next ?? null);
const place = computed<Place | null>(() =>
  next.value === null
    ? null
    : 'through' in next.value
      ? { state: next.value.state, through: next.value.through }
      : { state: next.value.state, from: next.value.from, to: next.value.to },
);
const typed = ref('');
const problem = ref('');
const may = computed(
  () =>
    props.editable &&
    (place.value?.state === 'dead'
      ? wiring.value.power.now === 'lockedOut'
      : wiring.value.power.now !== 'lockedOut'),
);
async function take() {
  const at = place.value;
  if (!at) return;
  const value = readTyped(typed.value, meterUnitOf(at));
  problem.value = value === null ? `Expected ${typedForm[meterUnitOf(at)]}` : '';
  if (value === null) return;
  await handOn([typed], () => job.write({ kind: 'reading', circuit: 'found', place: at, value }));
}
const told = computed(() =>
  (next.value?.expect ?? []).map((e) => `${shownReading(e.reads.unit as never, e.reads.value)}: ${e.fault}`),
);
</script>

<template>
  <section v-if="doubts.length > 0 || askable.length > 0" aria-label="Not sure">
    <h3>Not sure</h3>
    <p class="hint mt-1">“Not sure” is a value. Nothing is cut before the meter has settled it.</p>
    <ul v-if="doubts.length > 0" class="mt-1 border-t border-ink">
      <li
        v-for="doubt in doubts"
        :key="doubt.id"
        class="flex items-center gap-3 border-b border-hairline py-1.5"
      >
        <span class="flex-1">{{ doubtWords(doubt.what, found ?? undefined) }}</span>
        <AppButton v-if="editable" kind="quiet" class="!px-1.5" @click="drop(doubt.id)">Known now</AppButton>
      </li>
    </ul>
    <p v-if="failed" class="problem mt-2" role="alert">{{ failed }}</p>
    <div v-if="narrowed" class="mt-2" data-test="narrowed">
      <p v-if="narrowed.none" class="problem">
        The readings fit none of the circuits that may be: something else is not as written down.
      </p>
      <p v-else-if="narrowed.left.length === 1">
        <strong class="font-semibold">✓ One circuit is left:</strong> {{ narrowed.left[0]!.words }}.
      </p>
      <p v-else>
        <strong class="font-semibold"
          >{{ narrowed.left.length }} of {{ narrowed.of }} circuits may be.</strong
        >
        <template v-if="next">
          Read {{ placeWords(found!, next) }}, {{ stateWords(next.state).toLowerCase() }}.</template
        >
        <template v-else> No reading tells them apart.</template>
      </p>
      <ul v-if="told.length > 0" class="hint mt-1 list-disc pl-5">
        <li v-for="line in told" :key="line">{{ line }}</li>
      </ul>
      <form v-if="place && editable" class="mt-2 flex items-center gap-2" @submit.prevent="take">
        <input
          v-model="typed"
          class="w-28 text-right font-mono"
          inputmode="decimal"
          :disabled="!may"
          aria-label="What the meter shows"
        />
        <AppButton type="submit" :disabled="!may">Read</AppButton>
        <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
      </form>
      <CautionNote v-if="place && place.state !== 'dead'" class="mt-2"
        >A live reading: only by a person qualified for it, with a rated meter, to earth first. The local
        electrical code comes first.</CautionNote
      >
    </div>
    <div v-if="editable && askable.length > 0" class="mt-2 flex flex-wrap gap-2">
      <AppButton v-for="fact in askable" :key="JSON.stringify(fact)" @click="add(fact)"
        >Not sure: {{ doubtWords(fact, found ?? undefined) }}</AppButton
      >
    </div>
  </section>
</template>
