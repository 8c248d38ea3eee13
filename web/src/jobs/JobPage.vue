<script setup lang="ts">
import { computed, onScopeDispose, watch } from 'vue';
import { RouterLink, RouterView, useRoute, useRouter } from 'vue-router';
import { complaintOf } from '@brine/core/record/job';
import { openStations, stationNames, stations, type StationId } from '@brine/core/record/stations';
import { openSummary } from '@brine/core/record/openWork';
import { openJob, provideJob } from '../shared/job/useJob.ts';
import { provideJudgement } from '../shared/job/useJudgement.ts';
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import BorrowedStrip from './BorrowedStrip.vue';
import TimerStrip from './TimerStrip.vue';
import { serverAway } from '../shared/api/contact.ts';
import NextBar from './NextBar.vue';
import { notePlace } from './resume.ts';
import ConflictList from './ConflictList.vue';
import { useDrawn } from '../shared/ui/useDrawn.ts';
import StationSpine from './StationSpine.vue';
import WatchPanel from '../shared/watch/WatchPanel.vue';
import { useWatch } from '../shared/watch/watchStore.ts';

const props = defineProps<{ id: string }>();
const job = openJob(props.id);
provideJob(job);
const watching = useWatch();
// The camera is not left on behind a job that is closed.
onScopeDispose(() => watching.stop());
const route = useRoute();
const router = useRouter();
// The complaint finder is opened from Survey and belongs to it.
const here = computed(
  () => (route.path.split('/')[3] ?? 'survey').replace('complaint', 'survey') as StationId,
);
/** The station and its view: `program/cabinet`. */
const place = computed(() => route.path.split('/').slice(3).join('/'));
/** The definition of the control may not come: the rest waits no longer for it than this. */
const LONGEST_WAIT_MS = 3000;
/** How far the stations are and what is open takes all of the record, the wiring and the tests: it comes once the station stands. */
const drawn = useDrawn(
  () => job.loaded.value && (!job.newPin.value || Boolean(job.replacement.value)),
  LONGEST_WAIT_MS,
);
provideJudgement(job, () => drawn.value);
const keyed = computed(() => job.program.value.rows.filter((row) => row.state !== 'open').length);
/** Of a job without a control nothing can be keyed or tested yet: its stations say what comes first. */
const openWords = computed(() =>
  drawn.value && job.replacement.value ? openSummary(job.work.value.items) : '',
);
watch(place, (at) => at !== '' && notePlace(props.id, at), { immediate: true });
const unit = computed(() => job.job.value?.unit);
const about = computed(() => {
  const title = job.job.value?.title ?? '';
  const complaint = complaintOf(job.state.value);
  // Of a call the complaint is the title.
  return [title, complaint === title ? '' : complaint].filter(Boolean).join(': ');
});
const plate = computed(() => [unit.value?.siteName, unit.value?.plate].filter(Boolean).join(' · '));

function step(by: 1 | -1) {
  const list = stations.filter((s) => openStations.has(s));
  const next = list[list.indexOf(here.value) + by];
  if (next) void router.push(`/jobs/${props.id}/${next}`);
}
useKeys([
  { key: '[', label: '[', does: 'the station before', run: () => step(-1) },
  { key: ']', label: ']', does: 'the next station', run: () => step(1) },
]);
useJumpTargets(() =>
  stations
    .filter((s) => openStations.has(s))
    .map((s) => ({
      id: `station:${s}`,
      title: stationNames[s],
      detail: 'station of this job',
      words: '',
      go: () => void router.push(`/jobs/${props.id}/${s}`),
    })),
);
watch(
  unit,
  (found) => found && (document.title = `${[found.tag, found.name].filter(Boolean).join(' ')} · Brine Dial`),
);
</script>

<template>
  <p v-if="job.problem.value" class="p-6" role="alert">
    {{ job.problem.value }}. <RouterLink class="link" to="/jobs">Go to the jobs</RouterLink>
  </p>
  <template v-else>
    <div class="shrink-0 border-b border-hairline bg-sheet md:flex">
      <div
        class="flex flex-wrap items-baseline gap-x-3 border-hairline px-4 py-1 sm:px-5 md:w-[300px] md:shrink-0 md:flex-col md:flex-nowrap md:items-start md:justify-center md:border-r md:py-2.5 xl:w-[350px]"
        data-test="name-plate"
      >
        <h1 class="text-[16px] md:text-[17px]">
          {{ [unit?.tag, unit?.name].filter(Boolean).join(' ') || 'Loading the job …' }}
        </h1>
        <p class="text-[13.5px] text-soft max-md:hidden">{{ plate }}</p>
        <RouterLink
          v-if="openWords"
          :to="`/jobs/${id}/handover`"
          class="link shrink-0 text-[13.5px] md:hidden pointer-coarse:min-h-11 pointer-coarse:content-center"
          :title="openWords"
          data-test="open-count"
          >{{ job.work.value.items.length }} open</RouterLink
        >
      </div>
      <StationSpine :job-id="id" :here="here" :progress="drawn ? job.progress.value : null" />
    </div>
    <p
      v-if="job.job.value"
      class="flex shrink-0 flex-wrap items-baseline gap-x-4 border-b border-hairline bg-sheet px-4 py-1 text-[14px] max-md:hidden sm:px-5 print:hidden"
      data-test="job-title"
    >
      <span class="min-w-0 flex-1">{{ about }}</span>
      <RouterLink v-if="openWords" :to="`/jobs/${id}/handover`" class="link" :title="openWords"
        >{{ job.work.value.items.length }} open</RouterLink
      >
    </p>
    <ConflictList />
    <TimerStrip v-if="drawn && job.job.value" />
    <BorrowedStrip v-if="job.job.value" />
    <WatchPanel v-if="watching.job === id && watching.state !== 'off'" />
    <RouterView v-if="job.job.value" />
    <p v-else class="p-6" :class="{ 'text-soft': !serverAway }">
      <template v-if="serverAway"
        >This job is not on this device, and the server does not answer. With signal, mark it “Take along”
        under <RouterLink class="link" to="/jobs">Jobs</RouterLink>.</template
      >
      <template v-else>Loading the job …</template>
    </p>
    <NextBar
      v-if="drawn && job.job.value && place !== ''"
      :job-id="id"
      :here="here"
      :at-cabinet="place === 'program/cabinet'"
      :progress="job.progress.value"
      :keyed="keyed"
    />
  </template>
</template>
