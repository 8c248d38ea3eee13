<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { describeEntry } from '../shared/job/describeEntry.ts';
import { localDateTime } from '../shared/display/localTime.ts';
import { useOutbox } from '../shared/outbox/outboxStore.ts';
import AppButton from '../shared/ui/AppButton.vue';

const outbox = useOutbox();
const rows = computed(() =>
  outbox.entries.map((w) => ({
    id: w.entry.id,
    job: w.entry.job,
    what: describeEntry(w.entry.body),
    by: w.authorName,
    at: localDateTime(w.entry.deviceTime),
    refused: w.state === 'refused',
    problem: w.problem,
  })),
);
</script>

<template>
  <section class="mx-auto w-full max-w-4xl px-4 py-5 sm:px-6">
    <h1>Waiting on this device</h1>
    <p class="hint mt-1">
      What you type is kept here first, under your name, and sent as soon as the server answers. A refused
      entry stays until you decide.
    </p>
    <div v-if="rows.length > 0" class="mt-4">
      <AppButton @click="outbox.send()">Send now</AppButton>
      <table class="table-plain mt-3">
        <thead>
          <tr>
            <th>Entry</th>
            <th class="w-48">By</th>
            <th class="w-64"></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td>
              {{ row.what }} <RouterLink class="link text-[14px]" :to="`/jobs/${row.job}`">job</RouterLink>
              <p v-if="row.problem" class="problem">Refused: {{ row.problem }}</p>
            </td>
            <td>
              {{ row.by }}<span class="hint block">{{ row.at }}</span>
            </td>
            <td class="text-right">
              <template v-if="row.refused"
                ><button type="button" class="link" @click="outbox.tryAgain(row.id)">Try again</button> &nbsp;
                <button type="button" class="link" @click="outbox.discard(row.id)">
                  Take it out
                </button></template
              ><span v-else class="text-soft">waiting</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-else class="mt-5">Nothing waits: everything typed on this device has arrived.</p>
  </section>
</template>
