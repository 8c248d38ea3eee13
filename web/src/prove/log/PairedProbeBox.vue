<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import { switchingBand } from '@brine/core/foundation/regulation';
import {
  offsetIsEnough,
  onThePlate,
  shownCelsius,
  shownKelvin,
  typedCelsius,
  typedKelvin,
  type PairedOffset,
} from '@brine/core/judgement/tools';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

/** A probe on the air and one on the plate, logged together: what the plate must be set to so that the air does what it does. */
const props = defineProps<{ air: Float64Array; plate: Float64Array }>();
const job = useJob();
const display = useDisplay();
const session = useSession();
const told = shallowRef<PairedOffset | string | null>(null);
const { start, problem } = latestRun();
watch(
  () => [props.air, props.plate] as const,
  ([air, plate]) =>
    start(async ({ signal, isCurrent }) => {
      const result = await core.run('pairedOffset', { air, plate }, { signal });
      if (isCurrent()) told.value = result;
    }),
  { immediate: true },
);
const paired = computed(() => (typeof told.value === 'object' ? told.value : null));
const c = (celsius: number) => shownCelsius(celsius, display.unit);
const k = (kelvin: number) => shownKelvin(kelvin, display.unit);
const band = computed(() => switchingBand(job.program.value.inForce));
const plateBand = computed(() => (paired.value && band.value ? onThePlate(paired.value, band.value) : null));
const rows = computed(() => {
  const p = paired.value;
  return p
    ? [
        ['Where the compressor stops', c(p.atStop.air), c(p.atStop.plate), k(p.atStop.plate - p.atStop.air)],
        ['Where it starts', c(p.atStart.air), c(p.atStart.plate), k(p.atStart.plate - p.atStart.air)],
      ]
    : [];
});
const steady = computed(() => paired.value !== null && offsetIsEnough(paired.value));
function take() {
  const p = plateBand.value;
  if (!p || !paired.value) return;
  const why = `probe moved from the air to the plate: learned from ${paired.value.cycles} cycles of a log of both`;
  const setpoint = typedCelsius(p.cutOut, display.unit);
  const differential = typedKelvin(p.cutIn - p.cutOut, display.unit);
  void job.write(
    { kind: 'planned', setting: 'regulation.differentialPlacement', value: 'setpointIsCutOut', why },
    { kind: 'planned', setting: 'regulation.setpoint', value: setpoint, why },
    { kind: 'planned', setting: 'regulation.differential', value: differential, why },
  );
}
</script>

<template>
  <section aria-label="Air and plate" data-test="paired">
    <h3>Probe on the air, probe on the plate</h3>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="typeof told === 'string'" class="mt-1">{{ told }}</p>
    <template v-if="paired">
      <p class="mt-1" data-test="paired-words">
        Half of the time the plate is {{ k(-paired.upper) }} to {{ k(-paired.lower) }} colder than the air.
        {{
          steady
            ? 'The distance hardly changes over a cycle: one offset carries the set point over.'
            : 'The distance changes over a cycle: an offset alone would be wrong at one end. Cut-out and cut-in are carried over each for itself.'
        }}
      </p>
      <table class="table-plain mt-2 max-w-3xl">
        <thead>
          <tr>
            <th>{{ paired.cycles }} cycles</th>
            <th class="!text-right">Air</th>
            <th class="!text-right">Plate</th>
            <th class="!text-right">Plate less air</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[name, onAir, onPlate, difference] in rows" :key="name">
            <td>{{ name }}</td>
            <td class="text-right font-mono whitespace-nowrap">{{ onAir }}</td>
            <td class="text-right font-mono whitespace-nowrap">{{ onPlate }}</td>
            <td class="text-right font-mono whitespace-nowrap">{{ difference }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="plateBand && band" class="mt-2" data-test="plate-band">
        Set on the air {{ c(band.cutIn) }} down to {{ c(band.cutOut) }}: on the plate
        <strong class="font-semibold">{{ c(plateBand.cutIn) }} down to {{ c(plateBand.cutOut) }}</strong
        >. A longer rest and a small fan keep ice off the plate.
        <AppButton v-if="session.mayWrite" class="ml-2" data-test="take-plate" @click="take"
          >Plan it for the plate</AppButton
        >
      </p>
    </template>
  </section>
</template>
