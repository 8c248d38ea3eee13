<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import type { EntryBody } from '@brine/contract/entries';
import { RouterLink } from 'vue-router';
import { describeEntry } from '@brine/core/record/kinds';
import { localDateTime } from '../shared/display/localTime.ts';
import { useOutbox } from '../shared/outbox/outboxStore.ts';
import type { WaitingEntry } from '../shared/outbox/storage.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { saveFile } from '../shared/ui/saveFile.ts';
import EditEntry from './EditEntry.vue';

const outbox = useOutbox();
const session = useSession();
const rows = computed(() =>
  outbox.entries.map((w) => ({
    id: w.entry.id,
    job: w.entry.job,
    what: describeEntry(w.entry.body),
    by: w.authorName,
    at: localDateTime(w.entry.deviceTime),
    refused: w.state === 'refused',
    problem: w.problem,
    waiting: w,
  })),
);
const editing = shallowRef<WaitingEntry | null>(null);
async function changed(body: EntryBody): Promise<void> {
  const { entry } = editing.value!;
  editing.value = null;
  await outbox.edit(entry.id, body);
}
/** What is on the device as a file: for the record, or for whoever looks into why the server refuses it. */
async function exportAll() {
  saveFile(
    'brine-waiting.json',
    new Blob([JSON.stringify(outbox.entries, null, 2)], { type: 'application/json' }),
  );
  await session.exported();
}
</script>

<template>
  <section class="mx-auto w-full max-w-4xl px-4 py-5 sm:px-6">
    <h1>Waiting on this device</h1>
    <p class="hint mt-1">
      What you type is kept here first, under your name, and sent as soon as the server answers. An entry the
      server refuses is put aside and holds up nothing; it stays until you edit it, try again or discard it.
    </p>
    <div v-if="rows.length > 0" class="mt-4">
      <div class="flex flex-wrap gap-3">
        <AppButton @click="outbox.send()">Send now</AppButton>
        <AppButton data-test="export-waiting" @click="exportAll">Export</AppButton>
      </div>
      <ul class="mt-4 border-t border-ink" aria-label="Entries">
        <li
          v-for="row in rows"
          :key="row.id"
          class="flex flex-wrap gap-x-6 gap-y-1 border-b border-hairline py-2"
        >
          <div class="min-w-64 flex-1">
            {{ row.what }} <RouterLink class="link text-[14px]" :to="`/jobs/${row.job}`">job</RouterLink>
            <p v-if="row.problem" class="problem" data-test="why">
              {{ row.refused ? 'Refused' : 'Tried, not taken yet' }}: {{ row.problem }}
            </p>
          </div>
          <div class="w-44">
            {{ row.by }}<span class="hint block">{{ row.at }}</span>
          </div>
          <div v-if="row.refused" class="flex w-56 items-start gap-x-4">
            <button type="button" class="link" data-test="edit" @click="editing = row.waiting">Edit</button>
            <button type="button" class="link" @click="outbox.tryAgain(row.id)">Try again</button>
            <button type="button" class="link" data-test="discard" @click="outbox.discard(row.id)">
              Discard
            </button>
          </div>
          <div v-else class="w-56 text-soft">waiting</div>
        </li>
      </ul>
    </div>
    <p v-if="rows.length === 0" class="mt-5">Nothing waits: everything typed on this device has arrived.</p>
    <EditEntry
      v-if="editing"
      :body="editing.entry.body"
      :problem="editing.problem"
      @close="editing = null"
      @changed="changed"
    />
  </section>
</template>
