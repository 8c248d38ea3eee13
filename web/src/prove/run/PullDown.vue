<script setup lang="ts">
import { computed, ref } from 'vue';
import { pullDownState, type Predicted } from '@brine/core/judgement/commissioning';
import { bandOf, controlConfig } from '@brine/core/machines/box';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { localTime } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { quantity, valueIn } from '@brine/core/foundation/quantities';
import AppButton from '../../shared/ui/AppButton.vue';
import WatchButton from '../../shared/watch/WatchButton.vue';
import { useFollowedReadings } from './useFollowedReadings.ts';
import { useWatchedReadings } from './useWatchedReadings.ts';
import PullDownChart from './PullDownChart.vue';
import { useNow } from '../../shared/job/useNow.ts';

/** The pull-down as it comes in beside the predicted band. */
const props = defineProps<{ predicted: Predicted; editable: boolean }>();
const job = useJob();
const display = useDisplay();
const now = useNow();
const start = computed(() => job.proving.value.pullDownStart);
const readings = computed(() =>
  start.value
    ? job.proving.value.pullDown
        .filter((r) => r.at >= start.value!)
        .map((r) => ({
          at: r.at,
          celsius: r.celsius,
          minutes: (Date.parse(r.at) - Date.parse(start.value!)) / 60_000,
        }))
    : [],
);
const state = computed(() => pullDownState(props.predicted, readings.value));
const minutes = computed(() => (start.value ? (now.value - Date.parse(start.value)) / 60_000 : null));
const cutOut = computed(() => {
  const config = controlConfig(job.program.value.inForce);
  return typeof config === 'string' ? null : bandOf(config.stage, config.setpoint).cutOut;
});
const typed = ref('');
const problem = ref('');
async function add() {
  const read = readTemperature(typed.value.trim(), display.unit);
  if (!read.ok) return void (problem.value = read.problem);
  problem.value = '';
  typed.value = '';
  await job.write({
    kind: 'pullDownReading',
    readAt: new Date().toISOString(),
    celsius: valueIn(read.value, 'degC'),
  });
}
/** What the camera reads is written down while the pull-down runs. */
const fromCamera = useWatchedReadings(
  () => props.editable && start.value !== null,
  (celsius, readAt) => job.write({ kind: 'pullDownReading', readAt, celsius }),
);
const fromBus = useFollowedReadings(
  () => (props.editable && start.value !== null ? Date.parse(start.value) : null),
  () => {
    const last = readings.value.at(-1);
    return last ? Date.parse(last.at) : null;
  },
  (due) => job.write(...due.map((one) => ({ kind: 'pullDownReading' as const, ...one }))),
);
const remove = (at: string) => job.write({ kind: 'pullDownReading', readAt: at, celsius: null });
const expected = computed(() => {
  const { expectedMinutes: at, plusMinus } = state.value;
  if (at === null || plusMinus === null) return 'The time to cut-out cannot be told yet.';
  const off = `± ${Math.max(1, Math.round(plusMinus))} min`;
  if (!start.value) return `Cut-out after about ${Math.round(at)} min, ${off}.`;
  const clock = localTime(new Date(Date.parse(start.value) + at * 60_000).toISOString());
  const where = cutOut.value === null ? 'cut-out' : display.show(quantity(cutOut.value, 'degC'));
  return `Reaches ${where} at ${clock}, ${off}.`;
});
</script>

<template>
  <section aria-label="Pull-down" data-test="pull-down">
    <h3>Pull-down</h3>
    <p class="hint mt-1">
      Grey: an empty box of this kind, between the quickest and the slowest. An estimate, not a promise.
    </p>
    <PullDownChart class="mt-2" :predicted="predicted" :readings="readings" :cut-out="cutOut" />
    <p class="mt-1" aria-live="polite" data-test="pull-down-words">
      <strong class="font-semibold" :class="{ 'text-alarm': state.verdict === 'slower' }">{{
        state.words
      }}</strong>
      {{ expected }}
    </p>
    <template v-if="editable">
      <AppButton
        v-if="!start"
        class="mt-3"
        data-test="pull-down-start"
        @click="job.write({ kind: 'pullDown', startedAt: new Date().toISOString() })"
        >The compressor starts now</AppButton
      >
      <form v-else class="mt-3 flex flex-wrap items-end gap-3" @submit.prevent="add">
        <label class="flex flex-col gap-1"
          ><span class="field-label">Air now, {{ display.symbol }}</span
          ><input
            v-model="typed"
            class="w-28 font-mono"
            inputmode="decimal"
            data-test="pull-down-value"
            :aria-invalid="problem !== ''"
        /></label>
        <AppButton type="submit" kind="primary" data-test="pull-down-add">Add</AppButton>
        <span v-if="(minutes ?? 0) < 1440" class="hint pb-2"
          >{{ Math.floor(minutes ?? 0) }} min since {{ localTime(start) }}</span
        >
        <AppButton kind="quiet" @click="job.write({ kind: 'pullDown', startedAt: null })"
          >Start over</AppButton
        >
      </form>
      <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
      <template v-if="start">
        <WatchButton class="mt-2" />
        <label v-if="fromCamera.here.value" class="mt-2 flex min-h-11 items-center gap-2"
          ><input v-model="fromCamera.writes.value" type="checkbox" data-test="watch-pull-down" />Add what the
          camera reads, at most once a minute; take this off while the menu is open</label
        >
        <label v-if="fromBus.here.value" class="mt-2 flex min-h-11 items-center gap-2"
          ><input v-model="fromBus.writes.value" type="checkbox" data-test="follow-pull-down" />Add what the
          control tells over its bus, once a minute</label
        >
      </template>
    </template>
    <ul v-if="readings.length > 0" class="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[14px]">
      <li v-for="r in readings" :key="r.at">
        <span class="font-mono"
          >{{ Math.round(r.minutes) }} min {{ display.show(quantity(r.celsius, 'degC')) }}</span
        >
        <button
          v-if="editable"
          type="button"
          class="ml-1 text-soft underline"
          :aria-label="`Remove the reading at ${Math.round(r.minutes)} min`"
          @click="remove(r.at)"
        >
          remove
        </button>
      </li>
    </ul>
  </section>
</template>
