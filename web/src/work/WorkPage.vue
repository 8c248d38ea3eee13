<script setup lang="ts">
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue';
import type { Work } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ReportForm from './ReportForm.vue';
import SheetsForm from './SheetsForm.vue';
import WorkLine from './WorkLine.vue';

/** What the servers work on for this person; a lead sees everybody's. */
const session = useSession();
const works = shallowRef<readonly Work[] | null>(null);
const problem = ref<string | null>(null);
const ASK_MS = 1000;
let timer: ReturnType<typeof setTimeout> | undefined;
onScopeDispose(() => clearTimeout(timer));
const open = computed(
  () => works.value?.some((work) => work.state === 'waiting' || work.state === 'running') ?? false,
);

async function load() {
  clearTimeout(timer);
  try {
    works.value = (await request('works')).works;
    problem.value = null;
  } catch (error) {
    problem.value = messageOf(error);
  }
  if (open.value) timer = setTimeout(() => void load(), ASK_MS);
}
async function after(asking: Promise<unknown>) {
  try {
    await asking;
    await load();
  } catch (error) {
    problem.value = messageOf(error);
  }
}
const startJobFiles = () => after(request('startJobFiles'));
const stop = (work: Work) => after(request('stopWork', { params: { id: work.id } }));
onMounted(load);
</script>

<template>
  <section class="mx-auto w-full max-w-5xl px-4 py-5 sm:px-6" data-test="work-page">
    <h1>Work under way</h1>
    <p class="hint mt-1 max-w-3xl">
      Reports, reviews, sheets and files that take longer than a page should wait. They go on when it is
      closed, and if a server fails another takes them up. Files are kept for 30 days.
      <template v-if="session.isLead">You lead, so you see everybody’s.</template>
    </p>
    <ReportForm v-if="session.mayWrite" class="mt-4" @made="load" />
    <div v-if="session.mayWrite" class="mt-3 flex flex-wrap items-center gap-3">
      <SheetsForm @made="load" />
      <span class="flex-1"></span>
      <AppButton v-if="session.isLead" data-test="job-files" @click="startJobFiles"
        >Every job as a file</AppButton
      >
    </div>
    <FormProblem class="mt-3" :message="problem" />
    <table
      v-if="works && works.length > 0"
      class="table-plain mt-4 max-sm:[&_td]:block max-sm:[&_td]:border-b-0 max-sm:[&_thead]:sr-only max-sm:[&_tr]:block max-sm:[&_tr]:border-b max-sm:[&_tr]:border-hairline"
    >
      <thead>
        <tr>
          <th>What</th>
          <th class="w-48">Asked for by</th>
          <th class="w-64">How far</th>
          <th class="w-32"></th>
        </tr>
      </thead>
      <tbody>
        <WorkLine v-for="work in works" :key="work.id" :work="work" @stop="stop(work)" />
      </tbody>
    </table>
    <p v-else-if="works" class="mt-4">Nothing is under way, and nothing was asked for lately.</p>
  </section>
</template>
