<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { answersOf, type Readings } from '@brine/core/judgement/following';
import { quantity } from '@brine/core/foundation/quantities';
import { unitScenario } from '@brine/core/judgement/tuning';
import { messageOf, request } from '../../shared/api/client.ts';
import LineChoice from '../../shared/bus/LineChoice.vue';
import { useBusLine } from '../../shared/bus/useBusLine.ts';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { localTime } from '../../shared/display/localTime.ts';
import { followedLog } from '../../shared/follow/followedFiles.ts';
import { useFollowing } from '../../shared/follow/useFollowing.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import DayStrip from '../../shared/strip/DayStrip.vue';
import { measuredRun } from '../../shared/strip/measuredRun.ts';
import { useRun } from '../../shared/strip/useRun.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { resultWords, shownValue } from '../run/testWords.ts';
import { measuredNames, measuredText } from './measuredWords.ts';
import { followedResult, mayStand } from '../run/takeFollowed.ts';

/** The control followed over its bus: what it tells now and told before, over the forecast; what is measured by itself from its outputs, and the tests that this answers. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const { following, control } = useFollowing();
const on = useBusLine();
const windows = [
  { hours: 1, name: 'the last hour' },
  { hours: 4, name: 'the last 4 hours' },
  { hours: 24, name: 'the last 24 hours' },
] as const;
const hours = ref<number>(1);
const POINTS_DRAWN = 900;
/** An answer holds for so long in the drawing, s: further apart it is a gap. */
const HELD = 15;

const problem = ref<string | null>(null);
async function start() {
  if (await on.follow(control.value!)) following.lookNow();
}
async function stop() {
  problem.value = null;
  try {
    await request('stopWork', { params: { id: following.follow!.work.id } });
    following.lookNow();
  } catch (error) {
    problem.value = messageOf(error);
  }
}

const last = computed(() => following.points.at(-1) ?? null);
const isSilent = computed(() => last.value !== null && last.value.readings === null);
/** What it told last, whatever it says now. */
const now = computed(() => following.points.findLast(({ readings }) => readings !== null) ?? null);
const states: readonly (readonly [keyof Readings, string])[] = [
  ['compressor', 'Compressor'],
  ['fan', 'Fan'],
  ['defrost', 'Defrost'],
  ['alarm', 'Alarm'],
];
const temperatures: readonly (readonly [keyof Readings, string])[] = [
  ['air', 'Air'],
  ['coil', 'Coil'],
  ['secondCoil', 'Second coil'],
  ['product', 'Product'],
];
const told = computed(() => {
  const readings = now.value?.readings;
  if (!readings) return [];
  return [
    ...temperatures.flatMap(([id, name]) => {
      const value = readings[id];
      return value === undefined
        ? []
        : [
            {
              name,
              value: typeof value === 'number' ? display.show(quantity(value, 'degC')) : 'not there',
              on: false,
            },
          ];
    }),
    ...states.flatMap(([id, name]) => {
      const value = readings[id];
      return typeof value === 'boolean' ? [{ name, value: value ? '● on' : '○ off', on: value }] : [];
    }),
  ];
});

const end = computed(() => last.value?.at ?? 0);
/** From the beginning while it is shorter than the window, so that a curve begins at the left. */
const from = computed(() => Math.max(following.points[0]?.at ?? 0, end.value - hours.value * 3600));
const run = computed(() =>
  measuredRun(
    followedLog(following.points),
    from.value,
    hours.value * 3600,
    Math.ceil((hours.value * 3600) / POINTS_DRAWN),
    HELD,
  ),
);
const { result: forecast } = useRun(
  () => (job.program.value.unit ? unitScenario(job.program.value.unit, job.program.value.inForce) : null),
  () => 60,
);
const others = computed(() =>
  forecast.value ? [{ id: 'simulated', name: 'simulated', result: forecast.value }] : [],
);

const byKind = computed(() => [...new Map(following.measured.map((one) => [one.kind, one])).values()]);
const countOf = (kind: string) => following.measured.filter((one) => one.kind === kind).length;
const answers = computed(() =>
  answersOf(
    job.proving.value.tests.map(({ test }) => test),
    following.measured,
  ).flatMap((answer) => {
    const test = job.proving.value.tests.find((one) => one.test.id === answer.test);
    return test ? [{ answer, run: test }] : [];
  }),
);
const passing = computed(() =>
  answers.value.filter(({ answer, run: proof }) => mayStand(proof, answer) && answer.result === 'passed'),
);
const takeAll = () =>
  job.write(...passing.value.flatMap(({ answer, run: proof }) => followedResult(proof, answer)));
</script>

<template>
  <p v-if="!control" class="max-w-prose">
    The control of this job has no readings on a bus that are written down. Where it has a bus, write its
    registers down: <RouterLink class="link" to="/controls">Controls</RouterLink>.
  </p>
  <div v-else class="flex flex-col gap-5">
    <section v-if="session.mayWrite" class="border-l-4 border-cold bg-band p-3" aria-label="Follow">
      <LineChoice v-if="!following.isOn" :on="on">
        <AppButton kind="primary" data-test="follow-start" @click="start">Follow it</AppButton>
      </LineChoice>
      <div v-else class="flex flex-wrap items-center gap-3">
        <p role="status" data-test="follow-on">
          ● {{ following.follow!.work.title
          }}<template v-if="following.points[0]"
            >, since {{ localTime(new Date(following.points[0].at * 1000).toISOString()) }}</template
          >. It goes on when this page is left.
        </p>
        <AppButton kind="quiet" data-test="follow-stop" @click="stop">Stop</AppButton>
      </div>
      <FormProblem :message="problem ?? following.problem" />
      <p v-if="following.follow?.work.state === 'failed'" class="problem">
        {{ following.follow.work.problem }}.
      </p>
    </section>
    <template v-if="now">
      <p v-if="isSilent && following.isOn" class="text-alarm" role="status" data-test="follow-silent">
        ! It does not answer at present; it is asked on. Below is what it told last, at
        {{ localTime(new Date(now.at * 1000).toISOString()) }}.
      </p>
      <dl class="flex flex-wrap gap-x-8 gap-y-2" data-test="follow-now">
        <div v-for="one in told" :key="one.name">
          <dt class="field-label">{{ one.name }}</dt>
          <dd class="font-mono text-[19px]" :class="{ 'font-semibold': one.on }">{{ one.value }}</dd>
        </div>
      </dl>
      <section aria-label="Followed">
        <div class="flex flex-wrap items-center gap-4">
          <h3>Followed, over the forecast</h3>
          <select v-model="hours" aria-label="How much of it" data-test="follow-hours">
            <option v-for="one in windows" :key="one.hours" :value="one.hours">{{ one.name }}</option>
          </select>
          <span class="text-[14px] text-soft"
            ><span class="font-semibold text-ink">━ air</span>, <span class="text-cold">━ coil</span> told by
            the control; ┅ air and lower bars simulated, from a start of its own</span
          >
        </div>
        <DayStrip class="mt-2" :run="run" :others="others" :hours="hours" :limits="[]" />
      </section>
      <section v-if="byKind.length > 0" aria-label="Measured by itself">
        <div class="flex flex-wrap items-center gap-4">
          <h3>Measured by itself</h3>
          <AppButton
            v-if="session.mayWrite && passing.length > 0"
            kind="primary"
            data-test="take-all-followed"
            @click="takeAll"
            >Take {{ passing.length }} that passed</AppButton
          >
        </div>
        <table class="table-plain mt-2 max-w-4xl" data-test="follow-measured">
          <thead>
            <tr>
              <th>What</th>
              <th>Last</th>
              <th class="max-sm:hidden">So often</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in byKind" :key="one.kind" :data-measured="one.kind">
              <td>{{ measuredNames[one.kind] }}</td>
              <td class="font-mono">{{ measuredText(one, display.unit) }}</td>
              <td class="font-mono max-sm:hidden">{{ countOf(one.kind) }}</td>
            </tr>
          </tbody>
        </table>
        <ul v-if="answers.length > 0" class="mt-3 flex flex-col gap-1" data-test="follow-tests">
          <li v-for="{ answer, run: proof } in answers" :key="answer.test">
            <RouterLink class="link" :to="`/jobs/${job.id}/prove/run#${answer.test}`">{{
              proof.test.title
            }}</RouterLink>:
            <span class="font-mono">{{ shownValue(proof.test.measure!, answer.value, display.unit) }}</span>,
            <template v-if="proof.result">{{ resultWords[proof.result] }} in the record</template>
            <template v-else-if="answer.result">would be {{ resultWords[answer.result] }}</template>
            <template v-else>too near to the limit to tell</template>
          </li>
        </ul>
      </section>
    </template>
    <p v-else-if="following.isOn" class="text-soft" role="status">Waits for the first answer …</p>
    <p v-else class="max-w-prose text-soft">
      Air, coil and outputs are read every second and drawn here; the rest, the defrost, drain and fan delay
      are measured from the outputs, and answer their tests. Only read: nothing is written.
    </p>
  </div>
</template>
