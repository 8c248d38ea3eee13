<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { checkTag, type TagField } from '@brine/core/judgement/calibration';
import { parseNumber } from '@brine/core/foundation/quantities';
import { settingsOf } from '@brine/core/controllers/definitions';
import { inMonths } from '../../shared/display/dates.ts';
import { localDate } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { newId } from '../../shared/outbox/identity.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';

/** The tag of a returned sensor, typed digit by digit, then once more unseen; what cannot be right is stopped. */
const job = useJob();
const session = useSession();
const sides = ['supply', 'return'] as const;
const side = ref<(typeof sides)[number]>('supply');
const typed = ref({ slope: '', offset: '' });
const again = ref({ slope: '', offset: '' });
const step = ref<'first' | 'second'>('first');
const kept = ref('');
watch(side, clear);
const rowFor = (which: string, field: TagField) =>
  job.program.value.rows.find((row) =>
    settingsOf(row.parameter).some((id) => id === `meter.${which}${field === 'slope' ? 'Slope' : 'Offset'}`),
  );
const presentOf = (which: string) =>
  Object.fromEntries(
    (['slope', 'offset'] as const).flatMap((f) => {
      const row = rowFor(which, f);
      return row && typeof row.value === 'number' ? [[f, row.value]] : [];
    }),
  ) as Partial<Record<TagField, number>>;
const ranges = computed(() =>
  Object.fromEntries(
    (['slope', 'offset'] as const).flatMap((f) => {
      const e = rowFor(side.value, f)?.parameter.encoding;
      return e?.type === 'number' ? [[f, { from: e.min, to: e.max }]] : [];
    }),
  ),
);
const numbers = (form: { slope: string; offset: string }) => {
  const [slope, offset] = [parseNumber(form.slope.trim()), parseNumber(form.offset.trim())];
  return slope === null || offset === null ? null : { slope, offset };
};
const findings = computed(() => {
  const first = numbers(typed.value);
  if (!first) return [];
  const second = step.value === 'second' ? numbers(again.value) : null;
  const other = sides.find((s) => s !== side.value)!;
  // A factory slope of 1 and offset of 0 say nothing about what may come.
  const present = presentOf(side.value);
  return checkTag({
    ...first,
    ranges: ranges.value,
    ...(present.slope !== 1 && { present }),
    other: { name: other, present: presentOf(other) },
    ...(second && { again: second }),
  });
});
const ready = computed(
  () => step.value === 'second' && numbers(again.value) !== null && findings.value.length === 0,
);
function clear() {
  typed.value = { slope: '', offset: '' };
  again.value = { slope: '', offset: '' };
  step.value = 'first';
}
async function keep() {
  const tag = numbers(typed.value)!;
  const [slopeRow, offsetRow] = [rowFor(side.value, 'slope'), rowFor(side.value, 'offset')];
  await job.write(
    ...(slopeRow ? [{ kind: 'plannedCode' as const, code: slopeRow.code, value: tag.slope }] : []),
    ...(offsetRow ? [{ kind: 'plannedCode' as const, code: offsetRow.code, value: tag.offset }] : []),
    {
      kind: 'calibration',
      id: newId(),
      record: {
        probe: `${side.value} sensor`,
        code: offsetRow?.code ?? null,
        points: [
          { reading: 0, reference: tag.offset },
          { reading: 10, reference: tag.slope * 10 + tag.offset },
        ],
        before: null,
        after: tag.offset,
        unit: `slope ${tag.slope}`,
        reference: { name: 'Tag of the laboratory', serial: '', due: '', uncertainty: null },
        picture: null,
        date: localDate(new Date().toISOString()),
        nextDue: inMonths(6),
      },
    },
  );
  kept.value = `${side.value}: slope ${tag.slope}, offset ${tag.offset}. Key them in at Program; leave the tag on the sensor.`;
  clear();
}
</script>

<template>
  <section aria-label="Tag" data-test="tag">
    <h3>The sensor’s tag, digit by digit</h3>
    <p class="hint mt-1">
      {{ job.replacement.value?.sensorTag?.formula }}. Each sensor has its own tag; it stays on the sensor.
    </p>
    <div class="mt-2 flex flex-wrap gap-4">
      <label v-for="s in sides" :key="s" class="flex items-center gap-2"
        ><input v-model="side" type="radio" :value="s" /> {{ s }} sensor</label
      >
    </div>
    <form
      v-if="step === 'first'"
      class="mt-2 flex flex-wrap items-end gap-3"
      @submit.prevent="step = 'second'"
    >
      <label class="flex flex-col gap-1"
        ><span class="field-label">Slope</span
        ><input
          v-model="typed.slope"
          class="w-36 font-mono text-[18px]"
          inputmode="decimal"
          data-test="tag-slope"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Offset</span
        ><input
          v-model="typed.offset"
          class="w-36 font-mono text-[18px]"
          inputmode="decimal"
          data-test="tag-offset"
      /></label>
      <AppButton type="submit" :disabled="!numbers(typed) || findings.length > 0" data-test="tag-next"
        >Type it again</AppButton
      >
    </form>
    <form v-else class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="ready && keep()">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Slope, from the tag again</span
        ><input
          v-model="again.slope"
          class="w-36 font-mono text-[18px]"
          inputmode="decimal"
          data-test="tag-slope-again"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Offset, from the tag again</span
        ><input
          v-model="again.offset"
          class="w-36 font-mono text-[18px]"
          inputmode="decimal"
          data-test="tag-offset-again"
      /></label>
      <AppButton v-if="session.mayWrite" type="submit" kind="primary" :disabled="!ready" data-test="tag-keep"
        >Take it</AppButton
      >
      <AppButton kind="quiet" @click="clear">Start over</AppButton>
    </form>
    <p
      v-for="f in findings"
      :key="f.code + f.field"
      class="mt-2 border-l-4 border-alarm bg-alarm-wash px-3 py-2"
      role="alert"
      :data-code="f.code"
    >
      <strong class="font-semibold">Stopped. </strong>{{ f.message }}
    </p>
    <p v-if="kept" class="mt-2" data-test="tag-kept">✓ {{ kept }}</p>
  </section>
</template>
