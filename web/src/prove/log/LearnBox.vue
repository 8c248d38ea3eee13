<script setup lang="ts">
import { computed, ref, toRef } from 'vue';
import { variantsOfJob } from '@brine/core/record/job';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FindingLine from '../../shared/ui/FindingLine.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import BoxLine from '../../shared/learnedBox/BoxLine.vue';
import { predictedNames, predictedWords } from '../../shared/learnedBox/predictedWords.ts';
import FitChart from './FitChart.vue';
import { useLearning } from './useLearning.ts';
import type { ReadLog } from './useLog.ts';

/** Learns this unit’s own box from the log above: the fit over the log, what was learned in words, and the way to use it. */
const props = defineProps<{ read: ReadLog }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
/** Which settings were in the unit while it was logged: a log may be of the old control's days. */
const sets = computed(() =>
  variantsOfJob(job.program.value, job.replacement.value).filter(({ id }) => id === 'found' || id === 'set'),
);
const then = ref('set');
const { learned, because, share, problem, taken, learn, take, stop } = useLearning(
  job,
  toRef(props, 'read'),
  () => (sets.value.find(({ id }) => id === then.value) ?? sets.value.at(-1)!).values,
);
const compared = computed(() => {
  const fit = learned.value?.box.fit;
  if (!fit) return [];
  const line = (
    figure: 'startsPerHour' | 'dutyPercent' | 'defrostMinutes' | 'airMean',
    both: { readonly measured: number; readonly model: number } | null | undefined,
  ) =>
    both
      ? [
          {
            name: predictedNames[figure],
            logged: predictedWords(figure, both.measured, display.unit),
            model: predictedWords(figure, both.model, display.unit),
          },
        ]
      : [];
  return [
    ...line('startsPerHour', fit.startsPerHour),
    ...line('dutyPercent', fit.dutyPercent),
    ...line('defrostMinutes', fit.defrostMinutes),
    ...line('airMean', fit.airMean),
  ];
});
/** What stands out first, then what was told, last what would sharpen it. */
const said = computed(() => (learned.value?.box.findings ?? []).filter((f) => !isUntold(f.code)));
const untold = computed(() => (learned.value?.box.findings ?? []).filter((f) => isUntold(f.code)));
const isUntold = (code: string) => code.endsWith('Unknown');
</script>

<template>
  <section class="flex flex-col gap-3" aria-label="This unit’s own box" data-test="learn-box">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h3>This unit’s own box</h3>
      <AppButton v-if="share === null" :kind="learned ? 'quiet' : 'plain'" data-test="learn" @click="learn">{{
        learned ? 'Learn it again' : 'Learn this unit'
      }}</AppButton>
      <label v-if="share === null && sets.length > 1" class="flex items-center gap-2 text-[14px]"
        >Settings while it was logged
        <select v-model="then" class="!min-h-9 !py-1 pointer-coarse:!min-h-11" data-test="settings-then">
          <option v-for="one in sets" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <span v-if="share === null && !learned" class="hint max-w-[36rem]"
        >What its walls lose, what its machine gives, how its product follows: told from this log, and used in
        Forecast, Tune and Judgement in the place of a usual box.</span
      >
      <p v-if="share !== null" class="flex items-center gap-3" role="status">
        <progress class="bar w-56" :value="share" max="1" aria-label="Learning"></progress>
        Learning, {{ Math.round(share * 100) }} %
        <AppButton kind="quiet" @click="stop">Stop</AppButton>
      </p>
    </div>
    <FormProblem :message="problem" />
    <ul v-if="because.length > 0" class="flex flex-col gap-2" data-test="not-learned">
      <FindingLine
        v-for="f in because"
        :key="f.code"
        :severity="f.severity"
        past
        :code="f.code"
        :message="display.words(f.message)"
      />
    </ul>
    <template v-if="learned">
      <FitChart :beside="learned.beside" :log="read.log" :from="learned.from" />
      <div class="flex flex-wrap gap-x-10 gap-y-4">
        <div class="max-w-[44rem] min-w-72 flex-1">
          <h4 class="font-semibold">What the log says of it</h4>
          <ul class="mt-1 flex flex-col gap-1.5" data-test="learned-words">
            <li
              v-for="f in said"
              :key="f.code"
              class="border-l-4 py-1 pl-3"
              :class="f.severity === 'note' ? 'border-hairline' : 'border-amber bg-amber-wash'"
              :data-code="f.code"
            >
              <strong v-if="f.severity !== 'note'" class="font-semibold">Check this. </strong
              >{{ display.words(f.message) }}
            </li>
          </ul>
          <p v-if="learned.box.priors" class="hint mt-2" data-test="with-kind">
            Learned with what your company’s units of the kind have in common.
          </p>
          <template v-if="untold.length > 0">
            <h4 class="mt-3 font-semibold">What it could not say</h4>
            <ul class="mt-1 list-disc pl-5 text-[14.5px] text-soft" data-test="untold-words">
              <li v-for="f in untold" :key="f.code">{{ display.words(f.message) }}</li>
            </ul>
          </template>
        </div>
        <table class="table-plain !w-auto max-w-full self-start [&_td]:!pr-4" data-test="fit-figures">
          <caption class="caption-bottom pt-1 text-left text-[14px] text-soft">
            What is predicted is put right by this difference.
          </caption>
          <thead>
            <tr>
              <th>The logged days</th>
              <th class="!text-right">Logged</th>
              <th class="!text-right">Its own box</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in compared" :key="line.name">
              <td>{{ line.name }}</td>
              <td class="text-right font-mono">{{ line.logged }}</td>
              <td class="text-right font-mono">{{ line.model }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="session.mayWrite && !taken">
        <AppButton kind="primary" data-test="use-learned" @click="take">Use it for this unit</AppButton>
      </p>
    </template>
    <BoxLine v-if="!learned || taken" />
  </section>
</template>
