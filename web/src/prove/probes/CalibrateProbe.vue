<script setup lang="ts">
import { computed, ref, toRef } from 'vue';
import { icePointSteps } from '@brine/core/judgement/calibration';
import type { EntryBody } from '@brine/core/record/entries';
import { parseNumber, printNumber, quantity } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { inMonths } from '../../shared/display/dates.ts';
import { localDate } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { newId } from '../../shared/outbox/identity.ts';
import { usePictures } from '../../shared/pictures/usePictures.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { handOn } from '../../shared/ui/handOn.ts';
import { useCalibration } from './useCalibration.ts';

/** Probe beside a reference, the offset in the control's own code, and the record of it. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const {
  rows,
  code,
  existing,
  uncertainty,
  offsets,
  chosen,
  points,
  standing,
  unitText,
  unread,
  uncertaintyUnread,
  result,
} = useCalibration(job);
const reference = ref({ name: '', serial: '', due: '' });
const picture = ref<string | null>(null);
const pictures = usePictures(job.id);
const problem = ref('');
const MONTHS = 6;
const difference = (kelvin: number) => display.show(quantity(kelvin, 'K'));
const overdue = computed(
  () => reference.value.due !== '' && reference.value.due < localDate(new Date().toISOString()),
);
const recorder = computed(() => {
  const verdicts = result.value?.fitted.offsetOnly.recorder;
  const best = verdicts ? (['0.5', '1', '2'] as const).find((c) => verdicts[c]) : undefined;
  return best ? `EN 12830 class ${best}` : 'no class of EN 12830';
});
const probeName = computed(() => (chosen.value ? `${chosen.value.probe} probe` : ''));
async function keep() {
  if (!result.value || !chosen.value) return;
  if (uncertaintyUnread.value) return void (problem.value = uncertaintyUnread.value);
  if (reference.value.name.trim() === '')
    return void (problem.value = 'Name the reference: an instrument, or ice water.');
  problem.value = '';
  const body: EntryBody = {
    kind: 'calibration',
    id: newId(),
    record: {
      probe: probeName.value,
      code: chosen.value.parameter.code,
      points: points.value,
      before: standing.value,
      after: result.value.proposal.value,
      unit: unitText.value,
      reference: {
        ...reference.value,
        name: reference.value.name.trim(),
        uncertainty: parseNumber(uncertainty.value.trim()),
      },
      picture: picture.value,
      date: localDate(new Date().toISOString()),
      nextDue: inMonths(MONTHS),
    },
  };
  const fields = rows.value.flatMap((row) => [toRef(row, 'reads'), toRef(row, 'truth')]);
  await handOn(fields, () => job.write(body));
}
async function attach(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  try {
    const id = newId();
    const { width, height } = await pictures.take(id, file);
    await job.write({
      kind: 'picture',
      id,
      caption: `Certificate of ${reference.value.name || 'the reference'}`,
      width,
      height,
      points: [],
    });
    picture.value = id;
  } catch (error) {
    problem.value = (error as Error).message;
  }
}
</script>

<template>
  <section aria-label="Calibrate" data-test="calibrate">
    <h3>Calibrate</h3>
    <p v-if="!job.replacement.value" class="mt-1">
      Choose the new control first; the offset stands in its own code.
    </p>
    <p v-else-if="offsets.length === 0" class="mt-1">
      This control has no offset: a probe that reads wrong is exchanged.
    </p>
    <template v-else>
      <details class="mt-1">
        <summary class="link py-1">Ice water, step by step</summary>
        <ol class="mt-1 list-decimal pl-5 text-[14.5px]">
          <li v-for="step in icePointSteps" :key="step.does">
            {{ step.does }} <span class="text-soft">{{ step.why }}</span>
          </li>
        </ol>
      </details>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <label v-if="offsets.length > 1" class="flex flex-col gap-1"
          ><span class="field-label">Probe</span
          ><select v-model="code">
            <option v-for="o in offsets" :key="o.parameter.code" :value="o.parameter.code">
              {{ o.parameter.name }} ({{ o.parameter.code }})
            </option>
          </select></label
        >
        <label class="flex flex-col gap-1"
          ><span class="field-label">{{ chosen?.parameter.code }} stands at, {{ unitText }}</span
          ><input
            v-model="existing"
            class="w-28 font-mono"
            inputmode="decimal"
            :placeholder="printNumber(standing, 1)"
            data-test="existing-offset"
        /></label>
      </div>
      <p class="mt-2 text-[14px] text-soft">
        Compare in ice water. In the box only once it keeps its band, over a whole cycle, with both at one
        place: a box that moves gives no offset.
      </p>
      <div v-for="(row, i) in rows" :key="i" class="mt-2 flex flex-wrap items-end gap-3">
        <label class="flex flex-col gap-1"
          ><span class="field-label">Display reads, {{ display.symbol }}</span
          ><input v-model="row.reads" class="w-32 font-mono" inputmode="decimal" data-test="reads"
        /></label>
        <label class="flex flex-col gap-1"
          ><span class="field-label">Reference, {{ display.symbol }}</span
          ><input v-model="row.truth" class="w-32 font-mono" inputmode="decimal" data-test="truth"
        /></label>
        <AppButton v-if="i === rows.length - 1" kind="quiet" @click="rows.push({ reads: '', truth: '' })"
          >Another point</AppButton
        >
      </div>
      <FormProblem class="mt-3" :message="unread" />
      <template v-if="result">
        <p class="mt-3" aria-live="polite" data-test="proposal">
          <strong class="font-semibold"
            >Set <span class="font-mono">{{ result.proposal.code }}</span> to
            <span class="font-mono">{{ result.proposal.text }} {{ result.proposal.unitText }}</span
            >.</strong
          >
          {{ result.proposal.reason }}
        </p>
        <p
          v-for="caution in result.proposal.cautions"
          :key="caution"
          class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2"
        >
          {{ caution }}
        </p>
        <table class="table-plain mt-3 max-w-md">
          <thead>
            <tr>
              <th>At a true</th>
              <th class="!text-right">display now</th>
              <th class="!text-right">display then</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="s in result.shown" :key="s.trueC">
              <td class="font-mono">{{ display.show(quantity(s.trueC, 'degC')) }}</td>
              <td class="text-right font-mono">{{ display.show(quantity(s.before, 'degC')) }}</td>
              <td class="!pr-0 text-right font-mono">{{ display.show(quantity(s.after, 'degC')) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="points.length > 1" class="mt-2 text-[14.5px]" data-test="fitted">
          Over {{ points.length }} points an offset leaves at most
          {{ difference(result.fitted.offsetOnly.maxResidual) }}:
          {{
            result.fitted.offsetOnly.platinum === 'none'
              ? 'no class of IEC 60751'
              : `within class ${result.fitted.offsetOnly.platinum} of IEC 60751`
          }}, {{ recorder }}.
          <template v-if="result.fitted.advised === 'slopeAndOffset'"
            >A slope of {{ printNumber(result.fitted.slopeAndOffset!.slope, 4) }} with
            {{ difference(result.fitted.slopeAndOffset!.offsetK) }} would leave
            {{ difference(result.fitted.slopeAndOffset!.maxResidual) }}; this control takes no slope, so
            exchange the probe if that matters.</template
          >
        </p>
        <div v-if="session.mayWrite" class="mt-3 flex flex-wrap items-end gap-3">
          <label class="flex flex-1 flex-col gap-1"
            ><span class="field-label">Reference instrument</span
            ><input
              v-model="reference.name"
              maxlength="200"
              placeholder="Ice water, or the instrument"
              data-test="reference-name"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Serial</span
            ><input v-model="reference.serial" class="w-28" maxlength="80"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Its calibration is due</span
            ><input v-model="reference.due" type="date" class="w-40"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">± by certificate, {{ display.unit === 'degF' ? 'dF' : 'K' }}</span
            ><input v-model="uncertainty" class="w-24 font-mono" inputmode="decimal"
          /></label>
        </div>
        <p v-if="overdue" class="problem mt-1">The reference itself is overdue: its reading proves little.</p>
        <p v-if="uncertaintyUnread" class="problem mt-1" role="alert">{{ uncertaintyUnread }}</p>
        <p v-else class="hint mt-1">
          Uncertainty of the comparison (k = 2): ± {{ difference(result.uncertaintyK) }}.
        </p>
        <p v-if="problem" class="problem mt-1" role="alert">{{ problem }}</p>
        <div v-if="session.mayWrite" class="mt-2 flex flex-wrap items-center gap-3">
          <AppButton kind="primary" data-test="keep-calibration" @click="keep"
            >Keep it, next in {{ MONTHS }} months</AppButton
          >
          <label
            class="inline-flex min-h-9 pointer-coarse:min-h-11 cursor-pointer items-center text-[15px] font-medium text-brine underline underline-offset-2 focus-within:outline-2"
            >{{ picture ? '✓ certificate attached' : 'Attach the certificate'
            }}<input type="file" accept="image/*" class="sr-only" @change="attach"
          /></label>
        </div>
      </template>
    </template>
  </section>
</template>
