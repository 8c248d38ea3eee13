<script setup lang="ts">
import { tableNames } from '@brine/contract/paths';
import { addressOf } from '../shared/api/client.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';

/** Tables and the whole job as files. */
const job = useJob();
const session = useSession();
const file = (name: string) => addressOf('table', { id: job.id, file: name });
</script>

<template>
  <section aria-label="Take along" data-test="take-along">
    <h3>Take along</h3>
    <ul class="mt-1 text-[14.5px]">
      <li v-for="name in tableNames" :key="name" class="flex gap-3 border-b border-hairline py-1">
        <span class="flex-1 capitalize">{{ name }}</span>
        <a class="link" :href="file(`${name}.csv`)" download>CSV</a>
        <a class="link" :href="file(`${name}.xlsx`)" download>XLSX</a>
      </li>
    </ul>
    <a
      v-if="session.mayWrite"
      class="link mt-1 inline-block"
      :href="addressOf('jobFile', { id: job.id })"
      download
      data-test="job-file"
      >The whole job, for another installation</a
    >
  </section>
</template>
