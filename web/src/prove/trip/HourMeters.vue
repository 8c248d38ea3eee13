<script setup lang="ts">
import { reactive, ref } from 'vue';
import type { Trip } from '@brine/core/record/job';
import { parseNumber } from '@brine/core/foundation/quantities';
import {
  hourMeterNames,
  hourMeters,
  meterProblem,
  type HourMeter,
  type ServiceDue,
} from '@brine/core/judgement/transport';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';

/** Hour meters, and what comes due by them. */
const props = defineProps<{ trip: Trip }>();
const job = useJob();
const session = useSession();
const typed = reactive<Partial<Record<HourMeter, string>>>({});
const problem = ref('');
async function keep(meter: HourMeter) {
  const hours = parseNumber((typed[meter] ?? '').trim());
  const off = meterProblem(props.trip.hours[meter] ?? null, hours ?? Number.NaN);
  if (off || hours === null) return void (problem.value = `${hourMeterNames[meter]}: ${off}`);
  problem.value = '';
  typed[meter] = '';
  await job.write({ kind: 'hours', meter, hours });
}
const words = (due: ServiceDue) =>
  due.left === null
    ? 'read the meter'
    : due.state === 'due'
      ? `due, ${Math.round(-due.left)} h over`
      : `${due.state === 'soon' ? 'soon, ' : ''}in ${Math.round(due.left)} h`;
const done = (due: ServiceDue) =>
  job.write({ kind: 'serviced', service: due.service.id, atHours: props.trip.hours[due.service.meter] ?? 0 });
</script>

<template>
  <section aria-label="Hour meters" data-test="hour-meters">
    <h3>Hour meters and service</h3>
    <div v-if="session.mayWrite" class="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
      <form
        v-for="meter in hourMeters"
        :key="meter"
        class="flex items-end gap-2"
        @submit.prevent="keep(meter)"
      >
        <label class="flex flex-col gap-1"
          ><span class="field-label">{{ hourMeterNames[meter] }}</span
          ><input
            v-model="typed[meter]"
            class="w-28 font-mono"
            inputmode="numeric"
            :placeholder="trip.hours[meter] === undefined ? 'h' : String(trip.hours[meter])"
            :data-test="`hours-${meter}`"
        /></label>
        <AppButton type="submit" :data-test="`keep-${meter}`">Keep</AppButton>
      </form>
    </div>
    <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
    <ul class="mt-2 border-t border-ink" data-test="services">
      <li
        v-for="due in trip.services"
        :key="due.service.id"
        class="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1 text-[14.5px]"
      >
        <span class="min-w-44 flex-1"
          >{{ due.service.what }} <span class="text-soft">every {{ due.service.every }} h</span></span
        >
        <span
          :class="{ 'text-alarm font-semibold': due.state === 'due', 'text-soft': due.state === 'unknown' }"
          >{{ words(due) }}</span
        >
        <AppButton v-if="session.mayWrite && due.left !== null" kind="quiet" @click="done(due)"
          >Done now</AppButton
        >
      </li>
    </ul>
    <p class="hint mt-1">Intervals are common practice; the maker’s own list goes first.</p>
  </section>
</template>
