<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { RouterLink } from 'vue-router';
import { goalIds, goals, type GoalId } from '@brine/core/judgement/tuning';
import { request, messageOf } from '../shared/api/client.ts';
import { useDisplay } from '../shared/display/displayStore.ts';
import type { Review } from '@brine/contract/routes';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';

/** Every unit with a plan, judged on the server: what the rules and a simulated day say against its settings, and what tuning would change. */
const session = useSession();
const display = useDisplay();
const goal = ref<GoalId | ''>('');
const review = shallowRef<Review | null>(null);
const problem = ref<string | null>(null);
const ASK_MS = 700;
let timer: ReturnType<typeof setTimeout> | undefined;
onScopeDispose(() => clearTimeout(timer));
const running = computed(
  () => review.value !== null && !review.value.stopped && review.value.done < review.value.total,
);

async function ask(work: () => Promise<{ review: Review }>): Promise<void> {
  clearTimeout(timer);
  try {
    review.value = (await work()).review;
    problem.value = null;
  } catch (error) {
    problem.value = messageOf(error);
    if (!review.value) return;
  }
  const id = review.value?.id;
  if (id && running.value)
    timer = setTimeout(() => void ask(() => request('review', { params: { id } })), ASK_MS);
}
const start = () => ask(() => request('startReview', { body: { goal: goal.value || null } }));
const stop = () => ask(() => request('stopReview', { params: { id: review.value!.id } }));

const grave = (unit: Review['units'][number]) =>
  unit.judged?.findings.filter((f) => f.severity !== 'note') ?? [];
/** What needs somebody first: most that will go wrong, then most to look at; those still to come last. */
const lines = computed(() => {
  const weight = (unit: Review['units'][number]) =>
    unit.judged === null ? -1 : grave(unit).reduce((sum, f) => sum + (f.severity === 'error' ? 100 : 1), 0);
  return [...(review.value?.units ?? [])].sort((a, b) => weight(b) - weight(a));
});
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6" data-test="review-page">
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <h1>Review of every unit</h1>
      <RouterLink class="link" to="/units">Units by site</RouterLink>
    </div>
    <p class="hint mt-1 max-w-3xl">
      The newest job of each unit: its settings against the rules of the trade and on a simulated day of its
      own box. Computed on the server; an estimate.
    </p>
    <div class="mt-3 flex min-h-11 flex-wrap items-center gap-3">
      <label class="flex flex-wrap items-center gap-2 text-[14px]"
        >Tune besides for
        <select v-model="goal" class="!min-h-9 max-w-full !py-1" :disabled="running" data-test="review-goal">
          <option value="">nothing</option>
          <option v-for="id in goalIds" :key="id" :value="id">{{ goals[id].name.toLowerCase() }}</option>
        </select></label
      >
      <template v-if="running">
        <progress
          class="h-2 w-40 accent-brine"
          :value="review!.done"
          :max="review!.total"
          aria-label="Reviewing"
        ></progress>
        <span class="text-[14px] text-soft">{{ review!.done }} of {{ review!.total }} units</span>
        <AppButton kind="quiet" @click="stop">Stop</AppButton>
      </template>
      <AppButton v-else-if="session.mayWrite" kind="primary" data-test="review-start" @click="start"
        >Review them</AppButton
      >
    </div>
    <FormProblem class="mt-2" :message="problem" />
    <p v-if="review?.stopped" class="mt-2 bg-band px-3 py-2">
      Stopped: {{ review.done }} of {{ review.total }} units are judged.
    </p>
    <p v-if="review && review.total === 0" class="mt-4">
      No unit has a plan yet: answer the open questions in Survey.
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
          <th v-if="review!.goal" class="w-[20rem]">{{ goals[review!.goal].name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.jobId" class="align-top">
          <td>
            <RouterLink class="link" :to="`/jobs/${line.jobId}/program/plan`">{{ line.unit }}</RouterLink>
            <span class="block text-[14px] text-soft">{{ line.site }}</span>
          </td>
          <td>
            <span v-if="line.problem" class="text-alarm">! {{ line.problem }}</span>
            <span v-else-if="!line.judged" class="text-soft">{{
              review!.stopped ? 'not judged' : 'waiting'
            }}</span>
            <span v-else-if="grave(line).length === 0">✓ nothing</span>
            <ul v-else>
              <li v-for="f in grave(line)" :key="f.code + display.words(f.message)" class="py-0.5">
                <strong class="font-semibold">{{
                  f.severity === 'error' ? 'Will go wrong. ' : 'Check this. '
                }}</strong>{{ display.words(f.message) }}
                <span v-if="f.remedy" class="block text-[14px] text-soft"
                  >Mended by: {{ display.words(f.remedy) }}.</span
                >
              </li>
            </ul>
          </td>
          <td v-if="review!.goal">{{ display.words(line.judged?.advised?.reason ?? '') }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
