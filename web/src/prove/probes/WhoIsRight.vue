<script setup lang="ts">
import { computed, ref } from 'vue';
import { icePointSteps } from '@brine/core/judgement/calibration';
import {
  instrumentKinds,
  instrumentPlaces,
  usualOfKind,
  type Check,
} from '@brine/core/judgement/instruments';
import { quantity } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { checkLabel, checkWords, headline, notYetWords, placeNames, suspectRows } from './rightWords.ts';
import { useWhoIsRight } from './useWhoIsRight.ts';

/** Instruments that disagree: can all be true at once, who is wrong, and the one check that decides. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const { typed, unread, instruments, waits, said, wholeCycle, add, remove, clear, usualPlace } =
  useWhoIsRight(job);
const show = (kelvin: number) => display.show(quantity(Math.round(kelvin * 10) / 10, 'K'));
const MOST = 6;
/** Who wants to learn says first who it is; the answer stands below only then. */
const guessFirst = ref(false);
const guess = ref<string | null>(null);
const shown = computed(() => said.value !== null && (!guessFirst.value || guess.value !== null));
const rows = computed(() => (said.value ? suspectRows(said.value, instruments.value, show) : []));
const NOBODY = 'nobody';
const guessed = computed(() => {
  if (!said.value || guess.value === null) return '';
  const best = said.value.allRight > said.value.suspects[0]!.odds ? NOBODY : said.value.suspects[0]!.id;
  return guess.value === best
    ? 'You said the same.'
    : 'You said otherwise: look at how far each may be off, where it hangs and how quick it is.';
});
/** It stands below already, to be filled in. */
const waitsFor = (check: Check) =>
  typed.value.checks.some((one) => JSON.stringify(one.check) === JSON.stringify(check));
function toCheck(check: Check) {
  typed.value.checks.push({ check, a: '', b: '' });
}
const kept = ref(false);
async function keep() {
  if (!said.value) return;
  const read = instruments.value
    .map(
      (one) =>
        `${usualOfKind[one.kind].name.replace('The ', '')} ${display.show(quantity(one.reads, 'degC'))}`,
    )
    .join(', ');
  await job.write({
    kind: 'note',
    text: `Instruments compared: ${read}. ${headline(said.value, instruments.value, show)}.`,
  });
  kept.value = true;
}
function begin() {
  guess.value = null;
  kept.value = false;
  clear();
}
</script>

<template>
  <section aria-label="Who is right" data-test="who-is-right">
    <h3>Who is right?</h3>
    <p class="mt-1 text-soft">
      Display, thermometer, gun, logger and product probe disagree: what each reads at this moment, and where.
    </p>
    <ul class="mt-2 flex flex-col gap-3">
      <li
        v-for="(row, i) in typed.rows"
        :key="row.id"
        class="border-l-2 border-hairline pl-3"
        :data-instrument="i"
      >
        <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
          <label class="flex min-w-36 flex-1 flex-col gap-1"
            ><span class="field-label">Instrument</span
            ><select v-model="row.kind" data-test="kind" @change="row.place = usualPlace[row.kind]">
              <option v-for="kind in instrumentKinds" :key="kind" :value="kind">
                {{ usualOfKind[kind].name }}
              </option>
            </select></label
          >
          <label class="flex min-w-44 flex-1 flex-col gap-1"
            ><span class="field-label">Where</span
            ><select v-model="row.place" data-test="place">
              <option v-for="place in instrumentPlaces" :key="place" :value="place">
                {{ placeNames[place] }}
              </option>
            </select></label
          >
          <label class="flex flex-col gap-1"
            ><span class="field-label">Reads, {{ display.symbol }}</span
            ><input v-model="row.reads" class="w-24 font-mono" inputmode="text" data-test="reads"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">In place, min</span
            ><input
              v-model="row.minutes"
              class="w-24 font-mono"
              inputmode="decimal"
              placeholder="long"
              data-test="minutes"
          /></label>
        </div>
        <details class="mt-1 text-[14px]">
          <summary class="link min-h-9 content-center pointer-coarse:min-h-11">
            ± {{ row.accuracy || `${show(usualOfKind[row.kind].accuracyK)} as usual` }}, checked
            {{ row.months ? `${row.months} months ago` : 'nobody knows when' }}
          </summary>
          <div class="mt-1 flex flex-wrap items-end gap-3">
            <label class="flex flex-col gap-1"
              ><span class="field-label">Largest error, {{ display.symbol }} diff.</span
              ><input v-model="row.accuracy" class="w-28 font-mono" inputmode="decimal"
            /></label>
            <label class="flex flex-col gap-1"
              ><span class="field-label">Checked, months ago</span
              ><input v-model="row.months" class="w-28 font-mono" inputmode="decimal"
            /></label>
            <AppButton v-if="typed.rows.length > 2" kind="quiet" @click="remove(row.id)"
              >Take it away</AppButton
            >
          </div>
        </details>
      </li>
    </ul>
    <div class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <AppButton v-if="typed.rows.length < MOST" data-test="add-instrument" @click="add">One more</AppButton>
      <label class="flex items-center gap-2"
        >The machine
        <select v-model="typed.running" data-test="running">
          <option value="notLooked">nobody looked</option>
          <option value="runs">runs</option>
          <option value="rests">rests</option>
        </select></label
      >
      <label class="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11"
        ><input v-model="typed.inDefrost" type="checkbox" /> just defrosted</label
      >
      <label class="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11"
        ><input v-model="guessFirst" type="checkbox" data-test="guess-first" /> I guess first</label
      >
    </div>
    <FormProblem v-if="unread" class="mt-2" :message="unread" />
    <p
      v-if="waits"
      class="mt-3 border-l-4 border-amber bg-amber-wash px-3 py-2"
      role="status"
      data-test="not-yet"
    >
      {{ notYetWords(waits, instruments) }}
    </p>
    <div v-else-if="said && guessFirst && guess === null" class="mt-3" data-test="guesses">
      <p>Who is wrong?</p>
      <div class="mt-1 flex flex-wrap gap-2">
        <AppButton v-for="one in instruments" :key="one.id" @click="guess = one.id">{{
          usualOfKind[one.kind].name
        }}</AppButton>
        <AppButton data-test="guess-nobody" @click="guess = NOBODY">Nobody need be</AppButton>
      </div>
    </div>
    <template v-else-if="said && shown">
      <p
        class="mt-3 border-l-4 px-3 py-2 font-medium"
        :class="
          said.wrong !== null
            ? 'border-alarm bg-alarm-wash'
            : said.check === null
              ? 'border-good bg-good-wash'
              : 'border-amber bg-amber-wash'
        "
        role="status"
        data-test="verdict"
      >
        {{ headline(said, instruments, show) }}
      </p>
      <p v-if="wholeCycle !== null" class="mt-2 text-[14px]" data-test="whole-cycle">
        For an offset wait a whole cycle of this unit, about {{ Math.ceil(wholeCycle / 60) }} min, and compare
        the middle between highest and lowest of each: within the band one moment tells nothing.
      </p>
      <p v-if="guessed" class="mt-1 text-[14px] text-soft">{{ guessed }}</p>
      <table class="table-plain mt-2" data-test="odds">
        <thead>
          <tr>
            <th>Wrong is</th>
            <th class="w-1/3"><span class="sr-only">How likely</span></th>
            <th>How likely, and by how much</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>{{ row.name }}</td>
            <td class="!align-middle">
              <span class="block h-2 bg-band"
                ><span class="block h-2 bg-brine" :style="{ width: `${100 * row.odds}%` }"></span
              ></span>
            </td>
            <td>{{ row.words }}</td>
          </tr>
          <tr>
            <td>Nobody</td>
            <td class="!align-middle">
              <span class="block h-2 bg-band"
                ><span class="block h-2 bg-good" :style="{ width: `${100 * said.allRight}%` }"></span
              ></span>
            </td>
            <td>{{ Math.round(100 * said.allRight) }} %</td>
          </tr>
        </tbody>
      </table>
      <div v-if="said.check && !waitsFor(said.check.check)" class="mt-2 flex flex-wrap items-center gap-3">
        <p class="min-w-0 flex-1 basis-64" data-test="deciding-check">
          {{ checkWords(said.check, instruments) }}
        </p>
        <AppButton kind="primary" data-test="do-check" @click="toCheck(said.check.check)"
          >Do this check</AppButton
        >
      </div>
    </template>
    <ul v-if="typed.checks.length > 0" class="mt-3 flex flex-col gap-2">
      <li v-for="(one, i) in typed.checks" :key="i" class="flex flex-wrap items-end gap-3">
        <label class="flex flex-col gap-1"
          ><span class="field-label">{{ checkLabel(one.check, instruments) }}, {{ display.symbol }}</span
          ><input v-model="one.a" class="w-28 font-mono" inputmode="text" data-test="check-reads"
        /></label>
        <label v-if="one.check.kind === 'sideBySide'" class="flex flex-col gap-1"
          ><span class="sr-only">the other one reads</span
          ><input v-model="one.b" class="w-28 font-mono" inputmode="text" aria-label="the other one reads"
        /></label>
        <AppButton kind="quiet" @click="typed.checks.splice(i, 1)">Take it away</AppButton>
        <details v-if="one.check.kind === 'iceWater'" class="basis-full text-[14px]">
          <summary class="link min-h-9 content-center pointer-coarse:min-h-11">How ice water is made</summary>
          <ol class="mt-1 list-decimal pl-5">
            <li v-for="step in icePointSteps.slice(0, 5)" :key="step.does">{{ step.does }}</li>
          </ol>
        </details>
      </li>
    </ul>
    <p class="mt-3 text-[14px] text-soft">
      <strong class="font-semibold">Caution. </strong>Keep hands and probe leads out of fans: they start by
      themselves.
    </p>
    <div class="mt-2 flex flex-wrap gap-3">
      <AppButton v-if="said && shown && session.mayWrite" data-test="keep-comparison" @click="keep">{{
        kept ? '✓ Kept in the record' : 'Keep it in the record'
      }}</AppButton>
      <AppButton kind="quiet" @click="begin">Begin anew</AppButton>
    </div>
  </section>
</template>
