<script setup lang="ts">
import { computed } from 'vue';
import { localDateTime } from '../shared/display/localTime.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import AppButton from '../shared/ui/AppButton.vue';

const job = useJob();
const session = useSession();
const { text, reset } = useDraft(() => '', `note:${job.id}`);
const notes = computed(() =>
  job.state.value.notes.map(({ entry }) => ({
    id: entry.id,
    text: entry.body.kind === 'note' ? entry.body.text : '',
    by: job.nameOf(entry.author),
    at: localDateTime(entry.deviceTime),
  })),
);
async function add() {
  const typed = text.value.trim().slice(0, 2000);
  if (typed === '') return;
  await job.write({ kind: 'note', text: typed });
  reset();
}
</script>

<template>
  <section aria-label="Notes">
    <h2>Notes</h2>
    <ul v-if="notes.length > 0" class="mt-2 border-t border-ink">
      <li v-for="note in notes" :key="note.id" class="border-b border-hairline py-2">
        <span class="whitespace-pre-wrap">{{ note.text }}</span><span class="hint block"
          >{{ note.by }}, {{ note.at }}</span
        >
      </li>
    </ul>
    <form v-if="session.mayWrite" class="mt-3 flex items-start gap-3" @submit.prevent="add">
      <textarea
        v-model="text"
        rows="2"
        class="flex-1"
        aria-label="A note"
        placeholder="What you saw, heard, moved"
      ></textarea>
      <AppButton type="submit" :disabled="text.trim() === ''">Add</AppButton>
    </form>
  </section>
</template>
