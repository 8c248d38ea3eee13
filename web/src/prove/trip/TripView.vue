<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { runModeFor } from '@brine/core/judgement/plan';
import { settingsOf } from '@brine/core/controllers/definitions';
import { displayError, factsOf, tripOf } from '@brine/core/record/job';
import { goodsOf, type FactId } from '@brine/core/foundation/unit';
import { isQuantity, printFor, quantity, valueIn } from '@brine/core/foundation/quantities';
import {
  STARTS_BY_ITSELF,
  judgeTrip,
  keyForOrder,
  preCool,
  tripStageNames,
} from '@brine/core/judgement/transport';
import FactField from '../../shared/job/FactField.vue';
import FactFields from '../../shared/job/FactFields.vue';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localTime } from '../../shared/display/localTime.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import AlarmNotes from '../../shared/job/AlarmNotes.vue';
import HourMeters from './HourMeters.vue';
import TripStepLine from './TripStepLine.vue';

/** A delivery trip from the first look to the hand-over of the load; made for one thumb in a cab. */
const job = useJob();
const display = useDisplay();
const session = useSession();
const trip = computed(() => tripOf(job.state.value));
const unit = computed(() => job.program.value.unit);
const mode = computed(() => (unit.value ? runModeFor(unit.value) : null));
const facts = computed(() => factsOf(job.state.value, job.program.value.unit));
const bodyFacts: readonly FactId[] = [
  'bodyLength',
  'bodyWidth',
  'bodyHeight',
  'bodyInsulation',
  'outdoorNow',
  'bodyStartsAt',
];
const celsius = (c: number) => printFor(quantity(Math.round(c * 10) / 10, 'degC'), display.unit);
const setpoint = computed(() => {
  const value = job.program.value.inForce['regulation.setpoint'];
  return isQuantity(value) ? valueIn(value, 'degC') : null;
});
const ordered = computed(() => unit.value?.facts?.orderedAt ?? null);
/** What is keyed for what was ordered, by how the display reads. */
const forOrder = computed(() => {
  if (ordered.value === null) return null;
  const takesOffset = (job.replacement.value?.parameters ?? []).some((parameter) =>
    settingsOf(parameter).includes('probes.airOffset'),
  );
  return keyForOrder(ordered.value, displayError(job.proving.value), takesOffset, display.unit);
});
/** The plan for the product beside an order that is another: asked, not settled here. */
const againstOrder = computed(() =>
  ordered.value === null || setpoint.value === null || Math.abs(ordered.value - setpoint.value) < 0.3
    ? ''
    : ` Planned for this product was ${celsius(setpoint.value)}: ask who ordered before it is keyed otherwise.`,
);
const band = computed(() => {
  const value = job.program.value.inForce['transport.inRangeBand'];
  return isQuantity(value) ? valueIn(value, 'K') : 2;
});
const confirm = computed(() => {
  const value = job.program.value.inForce['transport.confirmTime'];
  return isQuantity(value) ? Math.round(valueIn(value, 's')) : 10;
});
const cooled = computed(() => {
  const f = facts.value;
  if (setpoint.value === null) return 'Plan the set point first.';
  return preCool({
    length: f.bodyLength,
    width: f.bodyWidth,
    height: f.bodyHeight,
    insulation: f.bodyInsulation,
    outdoor: f.outdoorNow,
    startsAt: f.bodyStartsAt,
    setpoint: setpoint.value,
    band: band.value,
  });
});
const clockIn = (minutes: number) => localTime(new Date(Date.now() + minutes * 60_000).toISOString());
const coolWords = computed(() => {
  const c = cooled.value;
  if (typeof c === 'string') return c;
  if (c.airMinutes === null)
    return `It does not get there: ${celsius(c.reached)} after 12 h. Look at the insulation, the doors and the unit.`;
  const walls =
    c.wallMinutes === null
      ? 'not in 12 h'
      : `${Math.round(c.wallMinutes)} min, about ${clockIn(c.wallMinutes)}`;
  return `Air in range after ${Math.round(c.airMinutes)} min; load when the walls are cold: ${walls}. ${c.volume.toFixed(1)} m³, empty, doors shut; an estimate.`;
});
const judged = computed(() =>
  unit.value ? judgeTrip(trip.value.readings, trip.value.stops, goodsOf(unit.value), celsius) : null,
);
const place = ref<'return' | 'product'>('return');
const reading = ref('');
const problem = ref('');
async function read() {
  const parsed = readTemperature(reading.value.trim(), display.unit);
  if (!parsed.ok) return void (problem.value = parsed.problem);
  problem.value = '';
  reading.value = '';
  await job.write({
    kind: 'tripReading',
    readAt: new Date().toISOString(),
    place: place.value,
    celsius: valueIn(parsed.value, 'degC'),
  });
}
/** Doors that stand open are kept on the device until they are shut: a driver looks at other pages meanwhile. */
const openKey = `brine-doors-open:${job.id}`;
const opened = ref(localStorage.getItem(openKey));
function openDoors() {
  opened.value = new Date().toISOString();
  localStorage.setItem(openKey, opened.value);
}
async function shutDoors() {
  const since = opened.value;
  if (!since) return;
  opened.value = null;
  localStorage.removeItem(openKey);
  await job.write({
    kind: 'doorStop',
    openedAt: since,
    minutes: Math.round((Date.now() - Date.parse(since)) / 6000) / 10,
  });
}
</script>

<template>
  <div class="max-w-4xl" data-test="trip">
    <CautionNote>{{ STARTS_BY_ITSELF }}</CautionNote>
    <p class="mt-2 text-[14.5px]" data-test="trip-tally">
      {{ trip.done }} of {{ trip.total }} in order{{ trip.faults > 0 ? `, ${trip.faults} not` : '' }}.
    </p>
    <section
      v-for="{ stage, steps } in trip.stages"
      :key="stage"
      :aria-label="tripStageNames[stage]"
      class="mt-5"
    >
      <h3>{{ tripStageNames[stage] }}</h3>
      <template v-if="stage === 'preCool'">
        <p v-if="mode" class="mt-1" data-test="run-mode">
          <strong class="font-semibold">{{
            mode.mode === 'continuous' ? 'Continuous.' : 'Start-stop.'
          }}</strong>
          {{ mode.why }}
          <span class="text-soft">{{ mode.other }}</span>
        </p>
        <div class="mt-1 flex flex-wrap items-end gap-3">
          <FactField fact="orderedAt" :value="ordered ?? setpoint ?? 2" :editable="session.mayWrite" />
          <p v-if="forOrder" class="max-w-prose basis-full sm:basis-0 sm:flex-1" data-test="for-order">
            {{ display.words(forOrder.words) }}
          </p>
        </div>
        <p v-if="setpoint !== null" class="mt-1">
          <strong class="font-semibold"
            >Set {{ forOrder ? display.show(forOrder.key) : celsius(setpoint) }}.</strong
          >
          Confirm within {{ confirm }} s or it reverts; then read it back.<template v-if="againstOrder">{{
            againstOrder
          }}</template>
          <RouterLink class="link" :to="`/jobs/${job.id}/program/cabinet`">Keystrokes</RouterLink>
        </p>
        <details class="mt-2">
          <summary class="min-h-9 cursor-pointer py-1.5 pointer-coarse:min-h-11 pointer-coarse:py-2.5">
            Body and weather, for the time it takes
          </summary>
          <div class="mt-1 flex flex-wrap items-end gap-3">
            <FactFields :facts="bodyFacts" :values="facts" :editable="session.mayWrite" />
          </div>
        </details>
        <p class="mt-1 border-l-4 border-cold px-3 py-1" data-test="pre-cool" aria-live="polite">
          {{ coolWords }}
        </p>
      </template>
      <template v-if="stage === 'onTheWay'">
        <form v-if="session.mayWrite" class="mt-1 flex flex-wrap items-end gap-2" @submit.prevent="read">
          <label class="flex flex-col gap-1"
            ><span class="field-label">Reads</span
            ><select v-model="place">
              <option value="return">Return air</option>
              <option value="product">Product</option>
            </select></label
          >
          <label class="flex flex-col gap-1"
            ><span class="field-label">Now, {{ display.symbol }}</span
            ><input
              v-model="reading"
              class="w-24 font-mono"
              inputmode="text"
              data-test="trip-reading"
              :aria-invalid="problem !== ''"
          /></label>
          <AppButton type="submit" kind="primary" data-test="trip-read">Add</AppButton>
          <AppButton v-if="!opened" data-test="doors-open" @click="openDoors">Doors open now</AppButton>
          <AppButton v-else kind="primary" data-test="doors-shut" @click="shutDoors"
            >Doors shut, opened {{ localTime(opened) }}</AppButton
          >
        </form>
        <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
        <ul v-if="judged" class="mt-2 flex flex-col gap-1" data-test="trip-words" aria-live="polite">
          <li v-for="words in judged.words" :key="words">{{ words }}</li>
        </ul>
        <ul
          v-if="trip.readings.length + trip.stops.length > 0"
          class="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-[14px]"
        >
          <li v-for="r in trip.readings" :key="`${r.place}${r.at}`">
            <span class="font-mono">{{ localTime(r.at) }} {{ celsius(r.celsius) }}</span>
            {{ r.place === 'return' ? 'return' : 'product' }}
            <button
              v-if="session.mayWrite"
              type="button"
              class="text-soft underline"
              @click="job.write({ kind: 'tripReading', readAt: r.at, place: r.place, celsius: null })"
            >
              remove
            </button>
          </li>
          <li v-for="s in trip.stops" :key="s.at">
            <span class="font-mono">{{ localTime(s.at) }}</span> doors {{ s.minutes }} min
            <button
              v-if="session.mayWrite"
              type="button"
              class="text-soft underline"
              @click="job.write({ kind: 'doorStop', openedAt: s.at, minutes: null })"
            >
              remove
            </button>
          </li>
        </ul>
        <AlarmNotes class="mt-3" signs />
        <HourMeters class="mt-3" :trip="trip" />
      </template>
      <ul v-if="steps.length > 0" class="mt-1 border-t border-ink">
        <TripStepLine v-for="run in steps" :key="run.step.id" :run="run" :editable="session.mayWrite" />
      </ul>
    </section>
    <p class="mt-4">
      <RouterLink class="link" :to="`/jobs/${job.id}/handover`"
        >Hand over: who takes the load, and the sheet</RouterLink
      >
    </p>
  </div>
</template>
