<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { scoreWords } from '@brine/core/record/history';
import { goalIds, goals, type GoalId } from '@brine/core/judgement/tuning';
import type { Review } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';
import { localDateTime } from '../shared/display/localTime.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import KindBoxes from './KindBoxes.vue';
import ReviewLine from './ReviewLine.vue';
import { useReview } from './useReview.ts';

/** Every unit with a plan, judged on the servers: what the rules and a simulated day say against its settings, and what tuning would change. */
const session = useSession();
const route = useRoute();
const router = useRouter();
const { work, goal, units, problem, follow, start, stop, isRunning } = useReview();
const wanted = ref<GoalId | ''>('');
const running = computed(() => work.value !== null && isRunning(work.value));

/** How what was predicted of units came true, over all of them. */
const came = ref('');
onMounted(async () => {
  const answer = await request('predictions').catch(() => null);
  if (answer) came.value = scoreWords(answer.score);
});
/** The one named in the address, else the last one that this person may see. */
onMounted(async () => {
  const named = route.query['id'];
  const last =
    typeof named === 'string'
      ? named
      : (await request('works').catch(() => null))?.works.find((w) => w.kind === 'review')?.id;
  if (last) await follow(last);
});
async function begin() {
  const id = await start(wanted.value || null);
  if (id) await router.replace({ query: { id } });
}

type Unit = Review['units'][number];
const weigh = (unit: Unit) =>
  (unit.problem ? 1000 : 0) +
  (unit.judged?.findings ?? []).reduce(
    (sum, f) => sum + (f.severity === 'error' ? 100 : f.severity === 'warning' ? 1 : 0),
    0,
  );
/** What needs somebody first: most that will go wrong, then most to look at. */
const lines = computed(() =>
  units.value
    .filter((unit) => !unit.noPlan)
    .map((unit) => ({ unit, weight: weigh(unit) }))
    .sort((a, b) => b.weight - a.weight),
);
const withoutPlan = computed(() => units.value.filter((unit) => unit.noPlan));
const clear = computed(() => lines.value.filter((line) => line.weight === 0).length);
const AT_ONCE = 100;
const shown = ref(AT_ONCE);
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6" data-test="review-page">
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <h1>Review of every unit</h1>
      <RouterLink class="link" to="/units">Units by site</RouterLink>
      <RouterLink class="link" to="/work">Work under way</RouterLink>
    </div>
    <p class="hint mt-1 max-w-3xl">
      The newest job of each unit: its settings against the rules of the trade and on a simulated day of its
      box. An estimate. It goes on when this page is closed.
    </p>
    <p v-if="came" class="mt-1 max-w-3xl" data-test="came-true">{{ came }}</p>
    <div class="mt-3 flex min-h-11 flex-wrap items-center gap-3">
      <label class="flex flex-wrap items-center gap-2 text-[14px]"
        >Tune besides for
        <select
          v-model="wanted"
          class="!min-h-9 pointer-coarse:!min-h-11 max-w-full !py-1"
          :disabled="running"
          data-test="review-goal"
        >
          <option value="">nothing</option>
          <option v-for="id in goalIds" :key="id" :value="id">{{ goals[id].name.toLowerCase() }}</option>
        </select></label
      >
      <template v-if="running">
        <progress
          class="bar w-40"
          :value="work!.done"
          :max="work!.total || 1"
          aria-label="Reviewing"
        ></progress>
        <span class="text-[14px] text-soft" data-test="review-progress">{{
          work!.total === 0 ? 'waiting for a server' : `${work!.done} of ${work!.total} units`
        }}</span>
        <AppButton v-if="work!.mayStop" kind="quiet" data-test="review-stop" @click="stop">Stop</AppButton>
      </template>
      <AppButton v-else-if="session.mayWrite" kind="primary" data-test="review-start" @click="begin">{{
        work ? 'Review them again' : 'Review them'
      }}</AppButton>
    </div>
    <FormProblem class="mt-2" :message="problem ?? work?.problem ?? null" />
    <p v-if="work && !running" class="mt-2 bg-band px-3 py-2" data-test="review-sum">
      <template v-if="work.state === 'stopped'"
        >Stopped: {{ work.done }} of {{ work.total }} units are through.
      </template>
      {{ work.title }}, asked for by {{ work.askedBy }}, {{ localDateTime(work.askedAt) }}:
      {{ lines.length - clear }} with something to look at, {{ clear }} with nothing against them,
      {{ withoutPlan.length }} without a plan yet.
    </p>
    <p v-if="work?.state === 'done' && work.total === 0" class="mt-4">
      No unit has an open job yet: add a job on its page.
    </p>
    <table
      v-if="lines.length > 0"
      class="table-plain mt-4 max-sm:[&_td]:block max-sm:[&_td]:border-b-0 max-sm:[&_thead]:sr-only max-sm:[&_tr]:block max-sm:[&_tr]:border-b max-sm:[&_tr]:border-hairline"
      data-test="review-lines"
    >
      <thead>
        <tr>
          <th class="w-[16rem]">Unit</th>
          <th>What is said against its settings</th>
          <th v-if="goal" class="w-[20rem]">{{ goals[goal].name }}</th>
        </tr>
      </thead>
      <tbody>
        <ReviewLine
          v-for="{ unit } in lines.slice(0, shown)"
          :key="unit.jobId"
          :unit="unit"
          :tuned="goal !== null"
        />
      </tbody>
    </table>
    <button
      v-if="lines.length > shown"
      type="button"
      class="link mt-3 min-h-9 pointer-coarse:min-h-11"
      data-test="review-more"
      @click="shown += AT_ONCE"
    >
      Show {{ Math.min(AT_ONCE, lines.length - shown) }} more of {{ lines.length - shown }}
    </button>
    <KindBoxes />
    <section v-if="withoutPlan.length > 0" class="mt-6" data-test="review-no-plan">
      <h2 class="text-[16px]">Without a plan yet</h2>
      <p class="hint">Answer the open questions in Survey; then it can be judged.</p>
      <p>
        <template v-for="(unit, i) in withoutPlan.slice(0, shown)" :key="unit.jobId"
          ><template v-if="i > 0"> · </template
          ><RouterLink class="link" :to="`/jobs/${unit.jobId}/survey`">{{ unit.unit }}</RouterLink>
          <span class="text-soft"> {{ unit.site }}</span></template
        >
      </p>
    </section>
  </section>
</template>
