<script setup lang="ts">
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { Machine } from '@brine/core/controllers/panel';
import { whyWarmDrill, type WarmCause, type WhyWarm } from '@brine/core/practice/drills';
import { printFor, quantity } from '@brine/core/foundation/quantities';
import { useDisplay } from '../display/displayStore.ts';
import AppButton from '../ui/AppButton.vue';
import { drillWords } from './drillWords.ts';
import type { DrillResult } from './useDrill.ts';
import type { LivePanel } from './useLivePanel.ts';

/** A box that is too warm: read the panel, look at the unit, let time pass, then say why. */
const props = defineProps<{ machine: Machine; live: LivePanel }>();
const emit = defineEmits<{ finished: [result: DrillResult]; began: [] }>();
const display = useDisplay();
const drill = shallowRef<WhyWarm | null>(null);
const answer = ref('');
const told = shallowRef<{ readonly right: boolean; readonly cause: WarmCause } | null>(null);
const none = ref(false);
const seconds = ref(0);
let began = 0;
const clock = setInterval(() => {
  if (drill.value && !told.value) seconds.value = Math.floor((performance.now() - began) / 1000);
}, 500);
onScopeDispose(() => clearInterval(clock));

function start() {
  const made = whyWarmDrill(props.machine, Math.random);
  none.value = made === null;
  drill.value = made;
  told.value = null;
  answer.value = '';
  seconds.value = 0;
  began = performance.now();
  if (!made) return;
  emit('began');
  props.live.attach(made);
}
function finish() {
  if (!drill.value || answer.value === '') return;
  const { cause } = drill.value;
  told.value = { right: answer.value === cause.id, cause };
  emit('finished', {
    drill: 'whyWarm',
    passed: told.value.right,
    seconds: seconds.value,
    strokes: props.live.strokes.value.length,
    fewest: 0,
    hints: 0,
  });
}
defineExpose({ close: () => (drill.value = null) });
</script>

<template>
  <section aria-label="A warm box" class="flex flex-col gap-3" data-test="why-warm">
    <AppButton class="self-start" data-test="drill-whyWarm" :disabled="live.replaying.value" @click="start">{{
      drillWords.whyWarm.name
    }}</AppButton>
    <p v-if="none" class="hint">This control regulates no air: nothing of it can be too warm.</p>
    <template v-if="drill">
      <h3>
        {{ drillWords.whyWarm.asks }}
        <span class="ml-2 font-mono font-normal text-soft">{{ seconds }} s</span>
      </h3>
      <p>
        This box belongs at about {{ printFor(quantity(Math.round(drill.belongsAt), 'degC'), display.unit) }}.
        Read the panel, walk round the unit, let time pass.
      </p>
      <fieldset class="flex flex-col gap-1" :disabled="told !== null">
        <legend class="sr-only">Why it is too warm</legend>
        <label
          v-for="option in drill.options"
          :key="option.id"
          class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-2"
        >
          <input
            v-model="answer"
            type="radio"
            name="why-warm"
            :value="option.id"
            :data-test="`cause-${option.id}`"
          />{{ option.name }}
        </label>
      </fieldset>
      <AppButton
        v-if="!told"
        class="self-start"
        kind="primary"
        data-test="why-finish"
        :disabled="answer === ''"
        @click="finish"
        >That is why</AppButton
      >
      <p
        v-else
        role="status"
        class="border-l-4 px-3 py-2"
        :class="told.right ? 'border-good bg-good-wash' : 'border-alarm bg-alarm-wash'"
        data-test="why-mark"
      >
        <strong class="font-semibold">{{ told.right ? `✓ Right, in ${seconds} s.` : '✗ No.' }}</strong>
        {{ told.cause.name }}. It shows by: {{ told.cause.shownBy }}.
      </p>
    </template>
  </section>
</template>
