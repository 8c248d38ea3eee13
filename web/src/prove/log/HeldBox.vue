<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { predictionOf } from '@brine/core/record/job';
import { markOf } from '@brine/core/foundation/files';
import type { HeldFigure } from '@brine/core/judgement/learning';
import type { BoxFinding } from '@brine/core/machines/identification';
import { LONGEST_NAME } from '@brine/contract/lengths';
import { inDays } from '../../shared/display/dates.ts';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localDate, localTime } from '../../shared/display/localTime.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { cutText } from '../../shared/ui/cutText.ts';
import { predictedNames, predictedWords } from '../../shared/ownBox/predictedWords.ts';
import { PREDICTION_FOLLOW_UP } from '../../shared/ownBox/followUp.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import type { ReadLog } from './useLog.ts';

/** A log held against what was predicted when the unit was handed over, by itself: figure by figure, and what follows of it once the log is kept. */
const props = defineProps<{
  read: ReadLog;
  /** The id that the log is kept under; null while it is not. */
  kept: string | null;
}>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const predicted = computed(() => predictionOf(job.state.value));
/** Another program is in the unit than the one that was spoken of. */
const otherSettings = computed(
  () =>
    predicted.value !== null &&
    !predicted.value.fromBefore &&
    markOf(predicted.value.values) !== markOf(job.program.value.inForce),
);
/** The prediction's moment on the clock of the log; null where that has none. */
const since = computed(() => {
  const [clock, at] = [props.read.log.clock, predicted.value?.at];
  if (at === undefined || clock.kind === 'elapsed') return null;
  const written = clock.kind === 'true' ? at : `${localDate(at)}T${localTime(at)}:00Z`;
  return Date.parse(written) / 1000;
});
/** The log ended, or was kept, before anything was predicted. */
const older = computed(() => {
  const keptAt = props.kept && job.state.value.registers.get(`log:${props.kept}`)?.at(-1)?.entry.deviceTime;
  return (
    predicted.value !== null &&
    ((since.value !== null && props.read.log.time.at(-1)! <= since.value) ||
      (typeof keptAt === 'string' && keptAt < predicted.value.at))
  );
});
const held = shallowRef<readonly HeldFigure[]>([]);
const because = shallowRef<readonly BoxFinding[]>([]);
const { problem, start } = latestRun();
watch(
  () => [props.read, predicted.value?.at, otherSettings.value, older.value] as const,
  () =>
    start(async ({ signal, isCurrent }) => {
      held.value = [];
      because.value = [];
      if (!predicted.value || otherSettings.value || older.value) return;
      const result = await core.run(
        'holdAgainst',
        {
          log: props.read.log,
          values: predicted.value.values,
          figures: predicted.value.figures,
          since: since.value,
        },
        { signal },
      );
      if (!isCurrent()) return;
      if ('because' in result) because.value = result.because;
      else held.value = result;
    }),
  { immediate: true },
);
const off = computed(() => held.value.filter((f) => f.stands === 'off'));
const came = computed(() => held.value.length > 0 && off.value.length === 0);
const words = (f: HeldFigure, value: number) => predictedWords(f.figure, value, display.unit);
const standsWords = { inside: '✓ as predicted', near: '✓ close', off: '✗ otherwise' } as const;

/** Once the log is kept, what it said of the prediction is kept with it, and the follow-up is ticked or a new one opened. */
const noted = ref<string | null>(null);
watch(
  () => [props.kept, held.value] as const,
  async ([kept, figures]) => {
    if (kept === null || figures.length === 0 || noted.value === kept || !session.mayWrite) return;
    noted.value = kept;
    if (job.state.value.registers.has(`heldAgainst:${kept}`)) return;
    const followUp = job.proving.value.followUps.find((f) => f.id === PREDICTION_FOLLOW_UP);
    const name = cutText(props.read.name, LONGEST_NAME);
    const looked = off.value
      .map(
        (f) =>
          `${predictedNames[f.figure].toLowerCase()} ${words(f, f.measured)} instead of ${words(f, f.value)}`,
      )
      .join(', ');
    await job.write(
      {
        kind: 'heldAgainst',
        log: kept,
        name,
        predictedAt: predicted.value!.at,
        figures: figures.map(({ figure, measured, value, low, high }) => ({
          figure,
          measured,
          value,
          low,
          high,
        })),
      },
      ...(followUp
        ? [
            {
              kind: 'followUp' as const,
              id: followUp.id,
              followUp: { due: followUp.due, what: followUp.what, done: true },
            },
          ]
        : []),
      ...(looked === ''
        ? []
        : [
            {
              kind: 'followUp' as const,
              id: `against:${kept}`,
              followUp: {
                due: inDays(3),
                what: `${name} is not as predicted: ${looked}. Find out why.`,
                done: false,
              },
            },
          ]),
    );
  },
);
</script>

<template>
  <section
    v-if="predicted"
    class="flex flex-col gap-2"
    aria-label="Against the prediction"
    data-test="held-box"
  >
    <h3>Against what was predicted on {{ localDate(predicted.at) }}</h3>
    <FormProblem :message="problem" />
    <p v-if="older" class="border-l-4 border-hairline bg-band px-3 py-2">
      This log is older than the prediction, so it says nothing of it.
    </p>
    <p v-else-if="otherSettings" class="border-l-4 border-hairline bg-band px-3 py-2">
      Not held against it: the settings were changed since it was predicted.
    </p>
    <ul v-else-if="because.length > 0" class="list-disc pl-5">
      <li v-for="f in because" :key="f.code">{{ display.words(f.message) }}</li>
    </ul>
    <template v-else-if="held.length > 0">
      <p
        class="border-l-4 px-3 py-2"
        :class="came ? 'border-good bg-good-wash' : 'border-amber bg-amber-wash'"
        data-test="held-verdict"
      >
        <template v-if="came"><strong class="font-semibold">✓ It came as predicted.</strong></template>
        <template v-else
          ><strong class="font-semibold">Not as predicted:</strong>
          {{ off.map((f) => predictedNames[f.figure].toLowerCase()).join(', ') }}. Something is otherwise than
          when it was learned: the unit, its use, or the program in it.</template
        >
        <template v-if="kept"> Noted with the job.</template>
        <template v-else-if="session.mayWrite"> Keep the log, and it is noted with the job.</template>
      </p>
      <table class="table-plain max-w-3xl" data-test="held-figures">
        <thead>
          <tr>
            <th>Figure</th>
            <th class="!text-right">This log</th>
            <th class="!text-right">Predicted</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in held" :key="f.figure">
            <td>{{ predictedNames[f.figure] }}</td>
            <td class="text-right font-mono">{{ words(f, f.measured) }}</td>
            <td class="text-right font-mono">{{ words(f, f.low) }} to {{ words(f, f.high) }}</td>
            <td
              class="whitespace-nowrap"
              :class="f.stands === 'off' ? 'font-semibold text-alarm' : 'text-good'"
            >
              {{ standsWords[f.stands] }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>
