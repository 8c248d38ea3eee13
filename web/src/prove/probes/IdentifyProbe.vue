<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  identify,
  leadOhms,
  menuSensors,
  otherSensors,
  readTable,
  type Sensor,
} from '@brine/core/foundation/probes';
import { isFileProblem } from '@brine/core/foundation/files';
import { parseNumber, printNumber, quantity, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { readOhms, shownOhms } from './ohms.ts';

/** Which sensor hangs there, from ohms at a known temperature. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const rows = ref([{ ohms: '', at: '' }]);
const metres = ref('');
const table = ref('');
const tableProblem = computed(() => {
  const read = table.value.trim() === '' ? null : readTable(table.value, display.unit === 'degF');
  return read && isFileProblem(read) ? `${read.field}: ${read.message}` : '';
});
const pasted = computed<Sensor | null>(() => {
  const read = table.value.trim() === '' ? null : readTable(table.value, display.unit === 'degF');
  return read && !isFileProblem(read)
    ? {
        id: 'pasted',
        name: 'the pasted table',
        curve: { kind: 'table', points: read },
        share: 30,
        toleranceK: 0.5,
      }
    : null;
});
const readings = computed(() =>
  rows.value.flatMap(({ ohms, at }) => {
    const [r, t] = [readOhms(ohms), readTemperature(at.trim(), display.unit)];
    return r !== null && t.ok ? [{ ohms: r, celsius: valueIn(t.value, 'degC') }] : [];
  }),
);
const lead = computed(() => {
  const length = parseNumber(metres.value.trim());
  return length === null ? 0 : leadOhms(length, 0.5);
});
const found = computed(() =>
  readings.value.length === 0
    ? null
    : identify(
        readings.value,
        [...menuSensors, ...otherSensors, ...(pasted.value ? [pasted.value] : [])],
        lead.value,
      ),
);
const best = computed(() => found.value?.candidates.toSorted((a, b) => b.odds - a.odds).slice(0, 4) ?? []);
const verdict = computed(() => {
  if (!found.value) return '';
  switch (found.value.verdict) {
    case 'open':
      return 'Open: over 1 MΩ. A broken lead or a probe that is gone.';
    case 'short':
      return 'Shorted: under 10 Ω. Water in the probe or a crushed lead.';
    case 'none':
      return 'None of the sensors known here comes within 3 K. Measure at a second temperature, or paste its table.';
    case 'match':
      return `It is ${best.value[0]!.sensor.name}${best.value[0]!.odds < 0.9 ? '; another reading at another temperature would make it surer' : ''}.`;
  }
  return '';
});
const percent = (odds: number) =>
  odds > 0.995 ? '> 99 %' : odds < 0.005 ? '< 1 %' : `${Math.round(odds * 100)} %`;
async function keep() {
  await job.write({
    kind: 'probe',
    id: 'air',
    role: 'air',
    readings: readings.value,
    leadOhms: lead.value,
    sensor: found.value?.verdict === 'match' ? best.value[0]!.sensor.id : null,
  });
}
const kept = computed(() => job.proving.value.probes[0]);
</script>

<template>
  <section aria-label="Which sensor" data-test="identify">
    <h3>Which sensor is it?</h3>
    <p class="hint mt-1">
      Unplug it, measure its ohms, and the temperature right beside it. Ice water is best.
    </p>
    <div v-for="(row, i) in rows" :key="i" class="mt-2 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Ohms</span
        ><input
          v-model="row.ohms"
          class="w-32 font-mono"
          inputmode="text"
          placeholder="9.0k"
          data-test="ohms"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">At, {{ display.symbol }}</span
        ><input v-model="row.at" class="w-28 font-mono" inputmode="decimal" data-test="at"
      /></label>
      <AppButton v-if="i === rows.length - 1" kind="quiet" @click="rows.push({ ohms: '', at: '' })"
        >Another reading</AppButton
      >
    </div>
    <details class="mt-2">
      <summary class="link py-1">Long lead, or a sensor of your own</summary>
      <label class="mt-2 flex flex-col gap-1"
        ><span class="field-label">Lead of 0.5 mm², metres</span
        ><input v-model="metres" class="w-28 font-mono" inputmode="decimal"
      /></label>
      <p v-if="lead > 0" class="hint mt-1">{{ printNumber(lead, 2) }} Ω there and back are subtracted.</p>
      <label class="mt-2 flex flex-col gap-1"
        ><span class="field-label">Its table: temperature in {{ display.symbol }} and ohms, a line each</span>
        <textarea v-model="table" rows="4" class="font-mono" placeholder="32 28.7k&#10;77 10.0k"></textarea>
      </label>
      <p v-if="tableProblem" class="problem">{{ tableProblem }}</p>
    </details>
    <p v-if="verdict" class="mt-3 font-medium" aria-live="polite" data-test="sensor-verdict">{{ verdict }}</p>
    <table v-if="found && found.verdict !== 'open' && found.verdict !== 'short'" class="table-plain mt-1">
      <thead>
        <tr>
          <th>Sensor</th>
          <th class="!text-right">Should have</th>
          <th class="!text-right">Would read</th>
          <th class="!text-right">Odds</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in best" :key="c.sensor.id">
          <td>{{ c.sensor.name }}</td>
          <td class="text-right font-mono">{{ shownOhms(c.expectedOhms) }}</td>
          <td class="text-right font-mono">
            {{ c.readsC === null ? 'nothing' : display.show(quantity(c.readsC, 'degC')) }}
          </td>
          <td class="!pr-0 text-right font-mono">{{ percent(c.odds) }}</td>
        </tr>
      </tbody>
    </table>
    <div v-if="found && session.mayWrite" class="mt-2 flex items-center gap-3">
      <AppButton data-test="keep-sensor" @click="keep">Keep with the job</AppButton>
      <span v-if="kept" class="hint"
        >✓ kept: {{ kept.sensor ?? 'unknown sensor' }}, {{ kept.readings.length }}
        {{ kept.readings.length === 1 ? 'reading' : 'readings' }}</span
      >
    </div>
  </section>
</template>
