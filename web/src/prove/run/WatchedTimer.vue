<script setup lang="ts">
import { computed, onScopeDispose, ref } from 'vue';
import WatchButton from '../../shared/watch/WatchButton.vue';
import { useWatchHere } from '../../shared/watch/useWatchHere.ts';
import { sightId, sightWords, type Sight } from '../../shared/watch/watchWords.ts';
import AppButton from '../../shared/ui/AppButton.vue';

/** A stopwatch that the camera starts and stops: by a lamp, by a text of the display, or by any change of it. */
const props = defineProps<{ startedAt: string | null }>();
const emit = defineEmits<{ start: [at: number]; ended: [seconds: number] }>();
const { watching, isOn } = useWatchHere();

const MAX_TEXTS = 6;
const sights = computed((): readonly Sight[] => [
  ...watching.lamps.flatMap(({ id }) =>
    (['on', 'off', 'blinks'] as const).map((is): Sight => ({ kind: 'lamp', lamp: id, is })),
  ),
  { kind: 'change' },
  ...[...new Set(watching.texts.map(({ text }) => text))]
    .slice(-MAX_TEXTS)
    .map((text): Sight => ({ kind: 'text', text })),
]);
const nameOf = (lamp: string) => watching.lamps.find(({ id }) => id === lamp)?.name ?? 'the lamp';
const choices = computed(() =>
  sights.value.map((sight) => ({ id: sightId(sight), words: sightWords(sight, nameOf) })),
);
const begins = ref('change');
const ends = ref('change');
const sightOf = (id: string) =>
  sights.value.find((sight) => sightId(sight) === id) ?? { kind: 'change' as const };

const waiting = ref<'begin' | 'end' | null>(null);
let callOff: () => unknown = () => undefined;
onScopeDispose(() => callOff());

function arm() {
  callOff();
  if (props.startedAt === null) {
    waiting.value = 'begin';
    callOff = watching.onSight(sightOf(begins.value), (at) => {
      emit('start', at);
      end(at);
    });
  } else end(Date.parse(props.startedAt));
}
function end(from: number) {
  waiting.value = 'end';
  callOff = watching.onSight(sightOf(ends.value), (at) => {
    waiting.value = null;
    emit('ended', Math.max(0, (at - from) / 1000));
  });
}
function disarm() {
  callOff();
  waiting.value = null;
}
const waitsFor = computed(() =>
  waiting.value === null
    ? ''
    : `Waits until ${sightWords(sightOf(waiting.value === 'begin' ? begins.value : ends.value), nameOf)}.`,
);
</script>

<template>
  <WatchButton v-if="!isOn" />
  <div v-else class="flex flex-wrap items-end gap-3" data-test="watched-timer">
    <template v-if="waiting">
      <p role="status" class="py-2">{{ waitsFor }}</p>
      <AppButton kind="quiet" @click="disarm">Stop waiting</AppButton>
    </template>
    <template v-else>
      <label v-if="startedAt === null" class="flex flex-col gap-1"
        ><span class="field-label">The camera starts it when</span>
        <select v-model="begins" data-test="sight-begins">
          <option v-for="choice in choices" :key="choice.id" :value="choice.id">{{ choice.words }}</option>
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="field-label">and stops it when</span>
        <select v-model="ends" data-test="sight-ends">
          <option v-for="choice in choices" :key="choice.id" :value="choice.id">{{ choice.words }}</option>
        </select></label
      >
      <AppButton data-test="sight-arm" @click="arm">Watch for it</AppButton>
    </template>
  </div>
</template>
