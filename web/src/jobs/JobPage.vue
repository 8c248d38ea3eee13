<script setup lang="ts">
import { computed, watch } from 'vue';
import { RouterLink, RouterView, useRoute, useRouter } from 'vue-router';
import { standing } from '@brine/core/record/fold';
import { openStations, stationNames, stations, type StationId } from '@brine/core/record/job';
import { handoverProgress, openSummary } from '@brine/core/record/open';
import { openJob, provideJob } from '../shared/job/useJob.ts';
import { provideJudgement } from '../shared/job/useJudgement.ts';
import { provideOpenWork } from '../shared/job/useOpenWork.ts';
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import TimerStrip from './TimerStrip.vue';
import { serverAway } from '../shared/api/contact.ts';
import NextBar from './NextBar.vue';
import { notePlace } from './resume.ts';
import ConflictList from './ConflictList.vue';
import StationSpine from './StationSpine.vue';

const props = defineProps<{ id: string }>();
const job = openJob(props.id);
provideJob(job);
const judged = provideJudgement(job);
const work = provideOpenWork(job, () => judged.findings.value);
/** Stations as the record has them; the hand-over knows what is open as well. */
const progress = computed(() => ({
  ...job.progress.value,
  handover: handoverProgress(job.state.value, work.value),
}));
const route = useRoute();
const router = useRouter();
// The complaint finder is opened from Survey and belongs to it.
const here = computed(
  () => (route.path.split('/')[3] ?? 'survey').replace('complaint', 'survey') as StationId,
);
/** The station and its view: `program/cabinet`. */
const place = computed(() => route.path.split('/').slice(3).join('/'));
const keyed = computed(() => job.program.value.rows.filter((row) => row.state !== 'open').length);
watch(place, (at) => at !== '' && notePlace(props.id, at), { immediate: true });
const unit = computed(() => job.job.value?.unit);
const complaint = computed(() => {
  const said = standing(job.state.value, 'answer:complaint', 'answer')?.value;
  return typeof said === 'string' && said !== job.job.value?.title ? said : '';
});
const about = computed(() => [job.job.value?.title, complaint.value].filter(Boolean).join(': '));
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
        class="relative flex flex-wrap items-baseline gap-x-3 border-hairline px-4 py-1 sm:px-5 md:w-[300px] md:shrink-0 md:flex-col md:flex-nowrap md:items-start md:justify-center md:border-r md:py-2.5 xl:w-[350px]"
        data-test="name-plate"
      >
        <h1 class="text-[16px] md:text-[17px]">
          {{ [unit?.tag, unit?.name].filter(Boolean).join(' ') || 'Loading the job …' }}
        </h1>
        <p class="line-clamp-1 text-[13.5px] text-soft max-md:hidden" :title="plate">{{ plate }}</p>
        <p
          v-if="job.job.value"
          class="line-clamp-1 min-w-0 text-[13.5px] max-md:hidden"
          :title="about"
          data-test="job-title"
        >
          {{ about }}
        </p>
        <RouterLink
          v-if="work.items.length > 0 && job.replacement.value"
          :to="`/jobs/${id}/handover`"
          class="link shrink-0 text-[13.5px] md:absolute md:top-2 md:right-4 pointer-coarse:min-h-11 pointer-coarse:content-center"
          :title="openSummary(work.items)"
          data-test="open-count"
          >{{ work.items.length }} open</RouterLink
        >
      </div>
      <StationSpine :job-id="id" :here="here" :progress="progress" />
    </div>
    <ConflictList />
    <TimerStrip v-if="job.job.value" />
    <RouterView v-if="job.job.value" />
    <p v-else class="p-6" :class="{ 'text-soft': !serverAway }">
      <template v-if="serverAway"
        >This job is not on this device, and the server does not answer. With signal, mark it “Take along”
        under <RouterLink class="link" to="/jobs">Jobs</RouterLink>.</template
      >
      <template v-else>Loading the job …</template>
    </p>
    <NextBar
      v-if="job.job.value && place !== ''"
      :job-id="id"
      :here="here"
      :at-cabinet="place === 'program/cabinet'"
      :progress="progress"
      :keyed="keyed"
    />
  </template>
</template>
