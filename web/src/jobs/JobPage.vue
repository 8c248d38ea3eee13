<script setup lang="ts">
import { computed, watch } from 'vue';
import { RouterLink, RouterView, useRoute, useRouter } from 'vue-router';
import { openStations, stationNames, stations, type StationId } from '@brine/core/record/job';
import { openJob, provideJob } from '../shared/job/useJob.ts';
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import ConflictList from './ConflictList.vue';
import StationSpine from './StationSpine.vue';

const props = defineProps<{ id: string }>();
const job = openJob(props.id);
provideJob(job);
const route = useRoute();
const router = useRouter();
// The complaint finder is opened from Survey and belongs to it.
const here = computed(
  () => (route.path.split('/')[3] ?? 'survey').replace('complaint', 'survey') as StationId,
);
const unit = computed(() => job.job.value?.unit);
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
        class="flex flex-col justify-center border-hairline px-4 py-2.5 sm:px-5 md:w-[350px] md:shrink-0 md:border-r"
        data-test="name-plate"
      >
        <h1 class="text-[17px]">
          {{ [unit?.tag, unit?.name].filter(Boolean).join(' ') || 'Loading the job …' }}
        </h1>
        <p class="text-[13.5px] text-soft">{{ plate }}</p>
      </div>
      <StationSpine :job-id="id" :here="here" :progress="job.progress.value" />
    </div>
    <ConflictList />
    <RouterView v-if="job.job.value" />
    <p v-else class="p-6 text-soft">Loading the job …</p>
  </template>
</template>
