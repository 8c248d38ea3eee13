<script setup lang="ts">
import { mount } from '../shared/mount/mount.ts';
import { computed, ref } from 'vue';
import { useJob } from '../shared/job/useJob.ts';
import { inDays, inMonths } from '../shared/display/dates.ts';
import { localDate } from '../shared/display/localTime.ts';
import { newId } from '../shared/outbox/identity.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** What is to be come back for: after three days, in half a year, for a skipped test, or as typed. */
const job = useJob();
const session = useSession();
const list = computed(() => job.proving.value.followUps);
const today = localDate(new Date().toISOString());
const usual = [
  {
    id: 'threeDays',
    name: 'In three days',
    due: inDays(3),
    what: 'Look at the frost and the drain; read the log',
  },
  {
    id: 'sixMonths',
    name: 'In six months',
    due: inMonths(6),
    what: 'Check calibration, alarm and heater; compare the settings with the sheet',
  },
] as const;
const due = ref('');
const what = ref('');
const offered = computed(() => usual.filter((u) => !list.value.some((f) => f.id === u.id)));
const add = (id: string, day: string, words: string) =>
  job.write({ kind: 'followUp', id, followUp: { due: day, what: words, done: false } });
async function addTyped() {
  if (due.value === '' || what.value.trim() === '') return;
  await add(newId(), due.value, what.value.trim());
  due.value = '';
  what.value = '';
}
const tick = (f: (typeof list.value)[number]) =>
  job.write({ kind: 'followUp', id: f.id, followUp: { due: f.due, what: f.what, done: !f.done } });
</script>

<template>
  <section aria-label="Follow-ups" data-test="follow-ups">
    <h3>Come back</h3>
    <ul v-if="list.length > 0" class="mt-1 border-t border-ink">
      <li
        v-for="f in list"
        :key="f.id"
        class="flex items-start gap-3 border-b border-hairline py-2 text-[14.5px]"
      >
        <label class="grid shrink-0 place-items-center pointer-coarse:-my-2"
          ><input
            type="checkbox"
            :checked="f.done"
            :disabled="!session.mayWrite"
            :aria-label="`Done: ${f.what}`"
            @change="tick(f)"
        /></label>
        <span
          class="font-mono whitespace-nowrap"
          :class="{ 'font-semibold text-alarm': !f.done && f.due < today }"
          >{{ f.due }}</span
        >
        <span class="flex-1" :class="{ 'text-soft': f.done }">{{ f.what }}</span>
        <button
          v-if="session.mayWrite"
          type="button"
          class="link text-[14px]"
          @click="job.write({ kind: 'followUp', id: f.id, followUp: null })"
        >
          Remove
        </button>
      </li>
    </ul>
    <div v-if="session.mayWrite" class="mt-2 flex flex-wrap gap-2">
      <AppButton
        v-for="u in offered"
        :key="u.id"
        :data-test="`follow-${u.id}`"
        @click="add(u.id, u.due, u.what)"
        >{{ u.name }}, {{ u.due }}</AppButton
      >
    </div>
    <form v-if="session.mayWrite" class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="addTyped">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Another day</span><input v-model="due" type="date" class="w-40"
      /></label>
      <label class="flex min-w-40 flex-1 flex-col gap-1"
        ><span class="field-label">What for</span><input v-model="what" maxlength="300"
      /></label>
      <AppButton type="submit">Add</AppButton>
    </form>
    <a
      v-if="list.length > 0"
      class="link mt-2 inline-block"
      :href="`${mount}/api/jobs/${job.id}/follow-ups.ics`"
      download
      data-test="ics"
      >Into the calendar (ICS)</a
    >
  </section>
</template>
