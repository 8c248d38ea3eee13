<script setup lang="ts">
import { LONGEST_TEXT } from '@brine/contract/lengths';
import { cutText } from '../shared/ui/cutText.ts';
import { added } from '@brine/core/record/fold';
import { computed, ref } from 'vue';
import { localDateTime } from '../shared/display/localTime.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { handOn } from '../shared/ui/handOn.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import AppButton from '../shared/ui/AppButton.vue';

const job = useJob();
const session = useSession();
const { text } = useDraft(() => '', `note:${job.id}`);
const notes = computed(() =>
  added(job.state.value, 'note').map(({ entry }) => ({
    id: entry.id,
    text: entry.body.kind === 'note' ? entry.body.text : '',
    by: job.nameOf(entry.author),
    at: localDateTime(entry.deviceTime),
  })),
);
const rest = ref(false);
async function add() {
  const typed = text.value.trim();
  const note = cutText(typed, LONGEST_TEXT);
  if (note === '') return;
  // What one note does not hold stays in the field: nothing typed is lost.
  await handOn([text], () => {
    rest.value = typed.length > note.length;
    if (rest.value) text.value = typed.slice(note.length);
    return job.write({ kind: 'note', text: note });
  });
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
        data-test="note"
        placeholder="What you saw, heard, moved"
      ></textarea>
      <AppButton type="submit" data-test="add-note" :disabled="text.trim() === ''">Add</AppButton>
    </form>
    <p v-if="rest && text !== ''" class="hint" role="status">
      A note holds {{ LONGEST_TEXT }} characters; the rest is still in the field: add it as a second one.
    </p>
  </section>
</template>
