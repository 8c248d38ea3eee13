<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import type { JobOrder, JobState } from '@brine/contract/routes';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { localDate } from '../shared/display/localTime.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import ScanButton from '../shared/scan/ScanButton.vue';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SearchLine from '../shared/ui/SearchLine.vue';
import UndoBar from '../shared/ui/UndoBar.vue';
import StationMarks from '../shared/ui/StationMarks.vue';
import { useJobList } from './useJobList.ts';
import TakeInJob from './TakeInJob.vue';
import { useTaken } from '../shared/kept/takenStore.ts';
import { useArchive } from '../shared/ui/useArchive.ts';

// What is opened by a touch comes after the list: a slow line is long over it.
const NewJobDialog = defineAsyncComponent(() => import('./NewJobDialog.vue'));
const session = useSession();
const router = useRouter();
const route = useRoute();
const states: readonly { readonly id: JobState; readonly name: string }[] = [
  { id: 'all', name: 'All' },
  { id: 'open', name: 'Not finished' },
  { id: 'late', name: 'Late' },
  { id: 'waiting', name: 'Waiting' },
  { id: 'finished', name: 'Handed over' },
];
const orders: readonly { readonly id: JobOrder; readonly name: string }[] = [
  { id: 'newest', name: 'Newest first' },
  { id: 'planned', name: 'Earliest planned first' },
  { id: 'site', name: 'By site and tag' },
];
const { search, archived, state, order, items, total, problem, loading, reload, more } = useJobList({
  search: String(route.query['search'] ?? ''),
  state: states.find(({ id }) => id === route.query['state'])?.id ?? 'all',
  order: orders.find(({ id }) => id === route.query['order'])?.id ?? 'newest',
});
// Kept in the address: what is looked at can be sent to somebody.
watch([search, state, order], ([text, now, sorted]) => {
  const query = {
    ...(text && { search: text }),
    ...(now !== 'all' && { state: now }),
    ...(sorted !== 'newest' && { order: sorted }),
  };
  void router.replace({ query });
});
const { setArchived, undo, problem: archiveProblem } = useArchive('changeJob', reload);
const opening = ref(false);
const taken = useTaken();
/** What is being brought onto the device: the library, then the jobs that belong there. */
const bringing = computed(() => {
  const jobs = (taken.round?.of ?? 1) - 1;
  return `Bringing the library${jobs > 0 ? ` and ${jobs} ${jobs === 1 ? 'job' : 'jobs'}` : ''} onto this device`;
});
/** Whether all of a job lies on this device. */
function hereWords(id: string): string {
  const here = taken.ofJob(id);
  if (!here) return '';
  if (here.problem) return `not whole here: ${here.problem}`;
  return here.wholeAt ? '✓ on this device' : here.marked ? 'coming …' : '';
}

useJumpTargets(() =>
  items.value.map((job) => ({
    id: `job:${job.id}`,
    title: `${job.unit.tag} ${job.unit.name}`.trim(),
    detail: job.title,
    words: job.unit.siteName,
    go: () => void router.push(`/jobs/${job.id}`),
  })),
);
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-3">
      <h1>Jobs</h1>
      <SearchLine
        v-model:search="search"
        v-model:archived="archived"
        label="Search title, unit, site or phone"
      />
      <select v-model="state" class="w-auto" aria-label="Which" data-test="job-state">
        <option v-for="one in states" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <select v-model="order" class="w-auto" aria-label="Order" data-test="job-order">
        <option v-for="one in orders" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <span class="flex-1"></span>
      <ScanButton />
      <TakeInJob v-if="session.mayWrite" />
      <AppButton v-if="session.mayWrite" kind="primary" data-test="new-job" @click="opening = true"
        >Open a job</AppButton
      >
    </div>
    <FormProblem class="mt-3" :message="problem ?? archiveProblem" />
    <UndoBar :undo="undo" />
    <p v-if="taken.round" class="hint mt-3 flex items-center gap-3" role="status">
      <progress
        class="bar w-28"
        :value="taken.round.done"
        :max="taken.round.of"
        aria-label="Bringing jobs onto this device"
      ></progress>
      {{ bringing }}
    </p>
    <ul class="mt-4 border-t border-ink" data-test="jobs">
      <li
        v-for="job in items"
        :key="job.id"
        :data-job="job.id"
        class="relative grid min-h-11 gap-x-6 gap-y-0.5 border-b border-hairline py-2.5 hover:bg-band sm:grid-cols-[5rem_minmax(0,1.1fr)_minmax(0,1.4fr)_8rem_12rem] sm:items-baseline"
      >
        <span class="hidden font-mono text-soft sm:block">{{ job.unit.tag }}</span>
        <span
          ><RouterLink class="font-medium text-brine after:absolute after:inset-0" :to="`/jobs/${job.id}`">{{
            job.unit.name
          }}</RouterLink
          ><span class="block text-[13.5px] text-soft">{{ job.unit.siteName }}</span></span
        >
        <span class="min-w-0">
          <span class="block">{{ job.title }}</span>
          <span v-if="job.summary" class="mt-0.5 flex flex-wrap items-center gap-x-3 text-[13.5px] text-soft">
            <StationMarks :summary="job.summary" />
            <span>{{ job.summary.next ? job.summary.next.words : job.summary.openWords }}</span>
          </span>
        </span>
        <span class="text-[13.5px] text-soft"
          >{{ job.assignedTo?.name ?? job.createdBy
          }}<span class="sm:block"
            ><span class="sm:hidden"> · </span
            >{{ job.plannedFor ? `for ${job.plannedFor}` : localDate(job.createdAt) }}</span
          ></span
        >
        <span class="relative z-10 flex flex-wrap items-center gap-x-5 text-[14px]">
          <label class="flex min-h-9 cursor-pointer items-center gap-2 pointer-coarse:min-h-11">
            <input
              type="checkbox"
              :checked="taken.ofJob(job.id)?.marked ?? false"
              :aria-label="`Take ${job.unit.name} along`"
              data-test="take-along"
              @change="(event) => taken.mark(job.id, (event.target as HTMLInputElement).checked)"
            />
            Take along
          </label>
          <button
            v-if="session.mayWrite"
            type="button"
            class="link min-h-9 pointer-coarse:min-h-11"
            @click="setArchived(job, !job.archived, job.unit.name)"
          >
            {{ job.archived ? 'Restore' : 'Archive' }}
          </button>
          <span
            v-if="hereWords(job.id)"
            class="basis-full text-soft"
            :class="{ 'text-alarm': taken.ofJob(job.id)?.problem }"
            >{{ hereWords(job.id) }}</span
          >
        </span>
      </li>
    </ul>
    <p v-if="items.length > 0" class="mt-3 flex flex-wrap items-center gap-4 text-soft" data-test="job-count">
      {{ items.length }} of {{ total }}
      <AppButton v-if="items.length < total" data-test="more-jobs" @click="more">More</AppButton>
    </p>
    <p v-if="!loading && items.length === 0" class="mt-5 max-w-xl">
      <template v-if="search"
        >No job holds “{{ search }}”. Search looks at the title, the unit and its site.</template
      >
      <template v-else-if="archived">Nothing is archived.</template>
      <template v-else-if="state !== 'all'">No job stands so.</template>
      <template v-else
        >No jobs yet.
        {{
          session.mayWrite ? 'Open one on a unit: press “Open a job”.' : 'A technician opens them.'
        }}</template
      >
    </p>
    <NewJobDialog
      v-if="opening"
      @close="opening = false"
      @opened="(id) => router.push(`/jobs/${id}/survey`)"
    />
  </section>
</template>
