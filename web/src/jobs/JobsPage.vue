<script setup lang="ts">
import { ref } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { localDate } from '../shared/display/localTime.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import { useSearchList } from '../shared/ui/useSearchList.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SearchLine from '../shared/ui/SearchLine.vue';
import NewJobDialog from './NewJobDialog.vue';
import TakeInJob from './TakeInJob.vue';
import { useArchive } from '../shared/ui/useArchive.ts';

const session = useSession();
const router = useRouter();
const { search, archived, items, problem, loading, reload } = useSearchList(
  'jobs',
  String(useRoute().query['search'] ?? ''),
);
const { setArchived, undo, problem: archiveProblem } = useArchive('changeJob', reload);
const opening = ref(false);

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
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <h1>Jobs</h1>
      <SearchLine v-model:search="search" v-model:archived="archived" label="Search title, unit or site" />
      <span class="flex-1"></span>
      <TakeInJob v-if="session.mayWrite" />
      <AppButton v-if="session.mayWrite" kind="primary" data-test="new-job" @click="opening = true"
        >Open a job</AppButton
      >
    </div>
    <FormProblem class="mt-3" :message="problem ?? archiveProblem" />
    <p v-if="undo" class="mt-3 bg-band px-3 py-2">
      {{ undo.words }} <button type="button" class="link" @click="undo.run">Undo</button>
    </p>
    <ul class="mt-4 border-t border-ink" data-test="jobs">
      <li
        v-for="job in items"
        :key="job.id"
        class="grid gap-x-6 gap-y-0.5 border-b border-hairline py-2.5 sm:grid-cols-[5rem_minmax(0,1.1fr)_minmax(0,1.4fr)_9rem_auto] sm:items-baseline"
      >
        <span class="hidden font-mono text-soft sm:block">{{ job.unit.tag }}</span>
        <span
          ><RouterLink class="font-medium text-brine hover:underline" :to="`/jobs/${job.id}`">{{
            job.unit.name
          }}</RouterLink
          ><span class="block text-[13.5px] text-soft">{{ job.unit.siteName }}</span></span
        >
        <span>{{ job.title }}</span>
        <span class="text-[13.5px] text-soft"
          >{{ localDate(job.createdAt)
          }}<span class="sm:block"><span class="sm:hidden"> · </span>{{ job.createdBy }}</span></span
        >
        <span v-if="session.mayWrite"
          ><button
            type="button"
            class="link text-[14px]"
            @click="setArchived(job, !job.archived, job.unit.name)"
          >
            {{ job.archived ? 'Restore' : 'Archive' }}
          </button></span
        >
      </li>
    </ul>
    <p v-if="!loading && items.length === 0" class="mt-5 max-w-xl">
      <template v-if="search"
        >No job holds “{{ search }}”. Search looks at the title, the unit and its site.</template
      >
      <template v-else-if="archived">Nothing is archived.</template>
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
