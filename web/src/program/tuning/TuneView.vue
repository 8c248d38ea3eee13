<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { joinSentences } from '@brine/core/foundation/sentences';
import { remedyWords } from '@brine/core/judgement/checks';
import type { UnitDescription } from '@brine/core/foundation/unit';
import { printNumber, printQuantity } from '@brine/core/foundation/quantities';
import { settingOf, type SettingId, type SettingValues } from '@brine/core/foundation/settings';
import { goalIds, goals, tuningTask, type GoalId } from '@brine/core/judgement/tuning';
import { useDisplay } from '../../shared/display/displayStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import BoxLine from '../../shared/learnedBox/BoxLine.vue';
import TradeOff from './TradeOff.vue';
import { useTuning } from './useTuning.ts';

/** Tries many values of one or two settings in this unit's box and advises one, with its reason. */
const props = defineProps<{ unit: UnitDescription; values: SettingValues; editable: boolean }>();
const emit = defineEmits<{ take: [values: SettingValues, why: string] }>();
const display = useDisplay();
const goal = ref<GoalId>('shortestDefrost');
const swept = ref<readonly SettingId[]>([]);
const tuning = useTuning();
const usual = computed(() => goals[goal.value].settings(props.values));
watch([goal, () => usual.value.join()], () => (swept.value = usual.value), { immediate: true });
const task = computed(() =>
  tuningTask(
    props.unit,
    props.values,
    goal.value,
    display.unit,
    swept.value.length > 0 ? swept.value : usual.value,
  ),
);
const context = computed(() => ({ unit: props.unit, display: display.unit, stride: 1 }));
const label = computed(() => goals[goal.value].score(context.value));
const price = computed(() => goals[goal.value].price(context.value));
const ready = computed(() => (typeof task.value === 'string' ? null : task.value));
/** What was tuned belongs to the values it was tuned on. */
watch([task], () => {
  tuning.stop();
  tuning.tuned.value = null;
  tuning.rows.value = [];
});
const number = (value: number) => (Number.isFinite(value) ? printNumber(value, value < 10 ? 2 : 1) : 'never');
/** The sound ones, best first, what is set last; with none sound those with least against them. */
const best = computed(() => {
  const { tuned, rows } = tuning;
  if (!tuned.value) return [];
  const order = [...rows.value]
    .filter((row) => !row.present)
    .sort((a, b) => a.against.length - b.against.length || a.score - b.score);
  return [...order.slice(0, 5), ...rows.value.filter((row) => row.present)];
});
function toggle(id: SettingId) {
  swept.value = swept.value.includes(id) ? swept.value.filter((other) => other !== id) : [...swept.value, id];
}
function take() {
  const tuned = tuning.tuned.value;
  if (tuned) emit('take', tuned.advised.change, `Tuned: ${display.words(tuned.reason)}`);
}
</script>

<template>
  <div class="flex flex-col gap-4" data-test="tune">
    <BoxLine />
    <div class="flex flex-wrap items-end gap-x-6 gap-y-2 text-[14px]">
      <label class="flex max-w-full min-w-0 flex-wrap items-center gap-2"
        >What for:
        <select v-model="goal" class="!min-h-9 pointer-coarse:!min-h-11 max-w-full !py-1" data-test="goal">
          <option v-for="id in goalIds" :key="id" :value="id">{{ goals[id].question }}</option>
        </select>
      </label>
    </div>
    <fieldset class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px]">
      <legend class="sr-only">Settings that are varied</legend>
      <span>Varied:</span>
      <label v-for="id in usual" :key="id" class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-1.5">
        <input
          type="checkbox"
          :checked="swept.includes(id)"
          :disabled="swept.length === 1 && swept.includes(id)"
          @change="toggle(id)"
        />
        {{ settingOf(id).label
        }}<span v-if="ready" class="text-soft">{{
          ready.axes
            .filter((axis) => axis.setting === id)
            .map((axis) => `${printQuantity(axis.values[0]!)} to ${printQuantity(axis.values.at(-1)!)}`)
            .join()
        }}</span>
      </label>
    </fieldset>
    <FormProblem :message="typeof task === 'string' ? task : tuning.problem.value" />
    <div class="flex min-h-9 pointer-coarse:min-h-11 flex-wrap items-center gap-3 text-[14px]">
      <template v-if="tuning.running.value">
        <progress
          class="bar w-48"
          :value="tuning.rows.value.length"
          :max="tuning.total.value"
          aria-label="Trying variants"
        ></progress>
        <span class="text-soft">{{ tuning.rows.value.length }} of {{ tuning.total.value }} variants run</span>
        <AppButton kind="quiet" @click="tuning.stop()">Stop</AppButton>
      </template>
      <AppButton
        v-else
        kind="primary"
        data-test="tune-run"
        :disabled="!ready"
        @click="ready && tuning.start(ready)"
        >Try them in this box</AppButton
      >
    </div>
    <TradeOff
      v-if="tuning.rows.value.length > 1"
      :rows="tuning.rows.value"
      :advised="tuning.tuned.value?.advised ?? null"
      :score-label="label"
      :price-label="price"
    />
    <div
      v-if="tuning.tuned.value"
      class="border-l-4 px-3 py-2"
      :class="tuning.tuned.value.sound ? 'border-good bg-good-wash' : 'border-amber bg-amber-wash'"
      data-test="advised"
    >
      <p>
        <strong class="font-semibold">{{ tuning.tuned.value.sound ? '✓ Advised: ' : '! ' }}</strong>{{
          display.words(tuning.tuned.value.reason)
        }}
      </p>
      <AppButton
        v-if="editable && !tuning.tuned.value.advised.present && tuning.tuned.value.sound"
        class="mt-2"
        kind="primary"
        data-test="take"
        @click="take"
        >Take it: {{ display.words(remedyWords(tuning.tuned.value.advised.change)) }}</AppButton
      >
    </div>
    <table v-if="best.length > 0" class="table-plain table-stack max-w-3xl" data-test="best">
      <thead>
        <tr>
          <th>Variant</th>
          <th class="!text-right">{{ label }}</th>
          <th class="!text-right">{{ price }}</th>
          <th>Against it</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in best" :key="row.index" class="[&>td]:!py-1.5">
          <td>{{ row.present ? 'In the unit' : display.words(remedyWords(row.change)) }}</td>
          <td class="text-right font-mono" :data-label="label">{{ number(row.score) }}</td>
          <td class="text-right font-mono" :data-label="price">{{ number(row.price) }}</td>
          <td data-label="Against it">{{ display.words(joinSentences(row.against, '; ')) || 'nothing' }}</td>
        </tr>
      </tbody>
    </table>
    <p class="text-[14px] text-soft">
      Screened at a stride of 5 s, the advised variant run again at 1 s. An estimate: prove it at the unit.
    </p>
  </div>
</template>
