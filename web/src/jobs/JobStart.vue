<script setup lang="ts">
import { watch } from 'vue';
import { useRouter } from 'vue-router';
import { useJob } from '../shared/job/useJob.ts';
import { lastPlace, nextStation, pathOf } from './resume.ts';

/** A job is opened where one left it on this device, else at its first open station. */
const job = useJob();
const router = useRouter();
const keyed = () => job.program.value.rows.filter((row) => row.state !== 'open').length;
watch(
  job.loaded,
  (loaded) => {
    if (!loaded) return;
    const place = lastPlace(job.id) ?? pathOf(nextStation(job.progress.value), keyed());
    void router.replace(`/jobs/${job.id}/${place}`);
  },
  { immediate: true },
);
</script>

<template>
  <p class="p-6 text-soft">Loading the job …</p>
</template>
