<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import type { Job } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import ScanButton from '../shared/scan/ScanButton.vue';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import { boardNames, boards, isLate, lanesOf, loadsOf, type BoardId } from './board.ts';
import { dayWords, longDay } from './dayWords.ts';
import FirstSteps from './FirstSteps.vue';
import NewCallDialog from './NewCallDialog.vue';
import PlanDialog from './PlanDialog.vue';
import TodayLine from './TodayLine.vue';
import { useToday } from './useToday.ts';

/** The first page: what is late, what is next, who is where. */
const session = useSession();
const route = useRoute();
const router = useRouter();
const { today, problem, day, jobs, load } = useToday();
const me = computed(() => session.person?.id ?? null);
const options = boards.map((id) => ({ id, name: boardNames[id] }));
/** Kept in the address: a look at the board can be sent to somebody. */
const board = computed<BoardId>({
  get: () =>
    boards.find((id) => id === route.query['board']) ??
    (session.isLead || !jobs.value.some((job) => job.assignedTo?.id === me.value) ? 'everybody' : 'mine'),
  set: (id) => void router.replace({ query: { ...route.query, board: id } }),
});
/** Whose jobs alone are looked at; null: everybody's. */
const person = computed<string | null>({
  get: () => (today.value?.people ?? []).find(({ id }) => id === route.query['person'])?.id ?? null,
  set: (id) =>
    void router.replace({ query: { ...route.query, board: 'everybody', person: id ?? undefined } }),
});
const personName = computed(() => today.value?.people.find(({ id }) => id === person.value)?.name ?? '');
const lanes = computed(() => lanesOf(jobs.value, board.value, day.value, me.value, person.value));
/** Jobs on units that are not as an earlier job left them. */
const drifted = computed(() =>
  [...jobs.value, ...handed.value].filter((job) => (job.summary?.drift ?? []).length > 0),
);
const withoutSheet = computed(() => today.value?.withoutSheet ?? { units: [], total: 0 });
const late = computed(() => jobs.value.filter((job) => isLate(job, day.value)).length);
const waiting = computed(() => jobs.value.filter((job) => job.waitsFor !== '').length);
const handed = computed(() => today.value?.handedOver ?? []);
const withOpen = computed(() => handed.value.filter((job) => (job.summary?.open ?? 0) > 0));
const counted = (n: number, one: string, several: string) => `${n} ${n === 1 ? one : several}`;
const summary = computed(() =>
  [
    today.value?.total === 0
      ? 'No job is open'
      : counted(today.value?.total ?? 0, 'job is open', 'jobs are open'),
    ...(late.value > 0 ? [`${late.value} late`] : []),
    ...(waiting.value > 0 ? [counted(waiting.value, 'waits', 'wait')] : []),
  ].join(', '),
);
const since = computed(() =>
  handed.value.length === 0
    ? ''
    : ` Since yesterday ${handed.value.length} handed over${
        withOpen.value.length > 0 ? `, ${withOpen.value.length} with open items` : ''
      }.`,
);
const loads = computed(() => loadsOf(jobs.value, today.value?.people ?? [], day.value));
const most = computed(() => Math.max(1, ...loads.value.map((load_) => load_.jobs)));
const dueOf = (job: Job) => {
  const { followUp, calibrationDue } = job.summary!;
  const back = followUp && (!calibrationDue || followUp.due <= calibrationDue);
  return {
    day: back ? followUp.due : calibrationDue!,
    what: back ? followUp.what : 'Calibrate the probe again',
  };
};
/** Called from a unit’s page: the unit is known. */
const calledFor = computed(() => String(route.query['call'] ?? ''));
const calling = ref(calledFor.value !== '');
function hangUp() {
  calling.value = false;
  if (calledFor.value !== '') void router.replace({ query: { ...route.query, call: undefined } });
}
/** A company that has no job yet, as its lead sees it. */
const anyJob = ref(true);
const first = computed(() => session.isLead && today.value?.total === 0 && !anyJob.value);
watch(
  () => today.value?.total,
  async (total) => {
    if (total !== 0 || !session.isLead) return;
    const lists = [false, true].map((archived) => request('jobs', { query: { search: '', archived } }));
    // Unknown is taken for some: nobody is led through first steps by a server that is away.
    anyJob.value = (await Promise.all(lists).catch(() => null))?.some((list) => list.total > 0) ?? true;
  },
);
const planning = ref<Job | null>(null);
useJumpTargets(() =>
  jobs.value.map((job) => ({
    id: `job:${job.id}`,
    title: `${job.unit.tag} ${job.unit.name}`.trim(),
    detail: job.title,
    words: job.unit.siteName,
    go: () => void router.push(`/jobs/${job.id}`),
  })),
);
async function planned() {
  planning.value = null;
  await load();
}
</script>

<template>
  <section
    class="mx-auto grid w-full max-w-7xl gap-x-12 gap-y-8 px-4 py-5 sm:px-6 xl:grid-cols-[minmax(0,1fr)_19rem]"
    data-test="today"
  >
    <div class="min-w-0">
      <div class="flex flex-wrap items-start gap-3">
        <div class="min-w-0 flex-1 max-sm:basis-full">
          <h1>{{ longDay(day) }}</h1>
          <p v-if="today" class="text-soft" data-test="today-summary">{{ summary }}.{{ since }}</p>
        </div>
        <ScanButton class="sm:hidden" />
        <AppButton v-if="session.mayWrite" kind="primary" data-test="new-call" @click="calling = true"
          >New call</AppButton
        >
      </div>
      <FormProblem class="mt-3" :message="problem" />
      <SegmentedControl v-if="!first" v-model="board" class="mt-3" label="Which jobs" :options="options" />
      <p v-if="person" class="mt-3" data-test="one-person">
        Only {{ personName }}’s.
        <button type="button" class="link" @click="person = null">Show everybody’s</button>
      </p>
      <section v-for="lane in lanes" :key="lane.title" class="mt-5" :aria-label="lane.title">
        <h2 class="border-b border-ink pb-1 text-[15px]" :class="{ 'text-alarm': lane.title === 'Late' }">
          {{ lane.title }} <span class="font-normal text-soft">{{ lane.jobs.length }}</span>
        </h2>
        <ul>
          <TodayLine
            v-for="job in lane.jobs"
            :key="job.id"
            :job="job"
            :today="day"
            :may-plan="session.mayWrite"
            @plan="planning = job"
          />
        </ul>
      </section>
      <FirstSteps v-if="first" @call="calling = true" />
      <p v-else-if="today && lanes.length === 0" class="mt-6 max-w-[60ch]">
        <template v-if="jobs.length === 0"
          >Nothing is open.
          <template v-if="session.mayWrite"
            >When somebody calls, press “New call”: one form makes the site, the unit and the job.</template
          ></template
        >
        <template v-else-if="board === 'mine'"
          >Nothing is yours. Look at “Everybody”, and plan one for yourself.</template
        >
        <template v-else>Nothing waits for anything.</template>
      </p>
      <p v-if="today && today.total > jobs.length" class="hint mt-4">
        {{ jobs.length }} of {{ today.total }} are shown, the earliest planned first;
        <RouterLink class="link" to="/jobs">all stand under Jobs</RouterLink>.
      </p>
    </div>
    <aside class="flex flex-col gap-8" aria-label="The company">
      <section v-if="loads.length > 1" aria-label="People">
        <h2 class="border-b border-ink pb-1 text-[16px]">People</h2>
        <ul>
          <li v-for="one in loads" :key="one.id" class="border-b border-hairline py-2">
            <button
              type="button"
              class="flex w-full items-baseline justify-between gap-3 text-left pointer-coarse:min-h-11"
              :aria-pressed="person === one.id"
              :title="`Only ${one.name}’s jobs`"
              data-test="person-load"
              @click="person = person === one.id ? null : one.id"
            >
              <span class="font-medium text-brine" :class="{ underline: person === one.id }">{{
                one.name
              }}</span><span class="text-[13.5px] text-soft"
                >{{ counted(one.jobs, 'job', 'jobs') }}{{ one.late > 0 ? `, ${one.late} late` : '' }}</span
              >
            </button>
            <span class="mt-1 block h-1.5 bg-band" aria-hidden="true"
              ><span class="block h-full bg-brine/60" :style="{ width: `${(one.jobs / most) * 100}%` }"></span
            ></span>
          </li>
        </ul>
      </section>
      <section v-if="(today?.due.length ?? 0) > 0" aria-label="Due" data-test="today-due">
        <h2 class="border-b border-ink pb-1 text-[16px]">To come back for</h2>
        <ul>
          <li v-for="job in today!.due" :key="job.id" class="border-b border-hairline py-2">
            <RouterLink
              class="font-medium text-brine hover:underline pointer-coarse:flex pointer-coarse:min-h-11 pointer-coarse:items-center"
              :to="`/jobs/${job.id}/handover`"
              >{{ [job.unit.tag, job.unit.name].filter(Boolean).join(' ') }}</RouterLink
            >
            <span class="block text-[13.5px]"
              ><span :class="{ 'font-semibold text-alarm': dueOf(job).day < day }">{{
                dayWords(dueOf(job).day, day)
              }}</span
              >: <span class="text-soft">{{ dueOf(job).what }}</span></span
            >
          </li>
        </ul>
      </section>
      <section v-if="withOpen.length > 0" aria-label="Handed over with open items">
        <h2 class="border-b border-ink pb-1 text-[16px]">Handed over with open items</h2>
        <ul>
          <li v-for="job in withOpen" :key="job.id" class="border-b border-hairline py-2">
            <RouterLink
              class="font-medium text-brine hover:underline pointer-coarse:flex pointer-coarse:min-h-11 pointer-coarse:items-center"
              :to="`/jobs/${job.id}/handover`"
              >{{ [job.unit.tag, job.unit.name].filter(Boolean).join(' ') }}</RouterLink
            >
            <span class="block text-[13.5px] text-soft">{{ job.summary!.openWords }}</span>
          </li>
        </ul>
      </section>
      <section v-if="drifted.length > 0" aria-label="Not as it was left" data-test="today-drift">
        <h2 class="border-b border-ink pb-1 text-[16px]">Not as it was left</h2>
        <ul>
          <li v-for="job in drifted" :key="job.id" class="border-b border-hairline py-2">
            <RouterLink
              class="font-medium text-brine hover:underline pointer-coarse:flex pointer-coarse:min-h-11 pointer-coarse:items-center"
              :to="`/units/${job.unit.id}`"
              >{{ [job.unit.tag, job.unit.name].filter(Boolean).join(' ') }}</RouterLink
            >
            <span
              v-for="one in job.summary!.drift.slice(0, 3)"
              :key="one.code"
              class="block text-[13.5px] text-soft"
              ><span class="font-mono">{{ one.code }}</span> left at {{ one.left }}, found at
              {{ one.found }}</span
            >
            <span v-if="job.summary!.drift.length > 3" class="block text-[13.5px] text-soft"
              >and {{ job.summary!.drift.length - 3 }} more</span
            >
          </li>
        </ul>
      </section>
      <section v-if="withoutSheet.total > 0" aria-label="Units without a sheet" data-test="without-sheet">
        <h2 class="border-b border-ink pb-1 text-[16px]">
          Units without a sheet <span class="font-normal text-soft">{{ withoutSheet.total }}</span>
        </h2>
        <ul>
          <li v-for="one in withoutSheet.units" :key="one.id" class="border-b border-hairline py-2">
            <RouterLink
              class="font-medium text-brine hover:underline pointer-coarse:flex pointer-coarse:min-h-11 pointer-coarse:items-center"
              :to="`/units/${one.id}`"
              >{{ [one.tag, one.name].filter(Boolean).join(' ') }}</RouterLink
            >
            <span class="block text-[13.5px] text-soft">{{ one.siteName }}</span>
          </li>
        </ul>
        <p v-if="withoutSheet.total > withoutSheet.units.length" class="hint mt-1">
          and {{ withoutSheet.total - withoutSheet.units.length }} more; nothing was handed over on them yet.
        </p>
      </section>
    </aside>
    <NewCallDialog
      v-if="calling"
      :people="today?.people ?? []"
      :unit-id="calledFor"
      @close="hangUp"
      @opened="(id) => router.push(`/jobs/${id}/survey`)"
    />
    <PlanDialog
      v-if="planning"
      :job="planning"
      :people="today?.people ?? []"
      @close="planning = null"
      @saved="planned"
    />
  </section>
</template>
