<script setup lang="ts">
import { computed, ref } from 'vue';
import { parseNumber } from '@brine/core/foundation/quantities';
import type { CoilLook, HumidityCourse } from '@brine/core/judgement/tools';
import { localDateTime } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { handOn } from '../../shared/ui/handOn.ts';

/** Humidity as it was read, with a look at the coil, and the steps taken between. */
const props = defineProps<{ course: HumidityCourse; editable: boolean }>();
const job = useJob();
const percent = ref('');
const coil = ref<CoilLook | ''>('');
const problem = ref('');
const lines = computed(() =>
  [
    ...props.course.readings.map((r) => ({
      at: r.at,
      words: [`${r.percent} %`, ...(r.coil ? [`coil ${r.coil} when the fans stopped`] : [])].join(', '),
      back: () => job.write({ kind: 'humidity', readAt: r.at, percent: null, coil: null }),
    })),
    ...props.course.steps.map((s) => ({
      at: s.at,
      words: `run-on to ${s.minutes} min`,
      back: () => job.write({ kind: 'runOnStep', doneAt: s.at, minutes: null }),
    })),
  ].toSorted((a, b) => a.at.localeCompare(b.at)),
);
async function add() {
  const value = parseNumber(percent.value.trim().replace(/\s*%$/, ''));
  if (value === null || value <= 0 || value > 100) {
    problem.value = `${percent.value.trim() || 'Nothing'}: expected a relative humidity above 0, up to 100 %.`;
    return;
  }
  problem.value = '';
  const look = coil.value === '' ? null : coil.value;
  await handOn([percent, coil], () =>
    job.write({ kind: 'humidity', readAt: new Date().toISOString(), percent: value, coil: look }),
  );
}
</script>

<template>
  <section aria-label="Humidity read" data-test="humidity-notes">
    <h3>Read and changed</h3>
    <ul v-if="lines.length > 0" class="mt-1 border-t border-ink">
      <li
        v-for="line in lines"
        :key="line.at"
        class="flex flex-wrap items-center gap-x-4 border-b border-hairline py-1 text-[14.5px]"
      >
        <span class="font-mono">{{ localDateTime(line.at) }}</span>
        <span class="flex-1">{{ line.words }}</span>
        <AppButton v-if="editable" kind="quiet" @click="line.back">remove</AppButton>
      </li>
    </ul>
    <form v-if="editable" class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="add">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Humidity now, %</span
        ><input
          v-model="percent"
          class="w-24 font-mono"
          inputmode="decimal"
          data-test="humidity-now"
          :aria-invalid="problem !== ''"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Coil when the fans stop</span
        ><select v-model="coil" data-test="coil-look">
          <option value="">not looked at</option>
          <option value="wet">still wet</option>
          <option value="dry">dry</option>
        </select></label
      >
      <AppButton type="submit" kind="primary" data-test="humidity-add">Add</AppButton>
    </form>
    <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
  </section>
</template>
