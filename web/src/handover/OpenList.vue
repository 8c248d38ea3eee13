<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { countWords, type OpenKind, VERDICT_DONE } from '@brine/core/record/openWork';
import { useDisplay } from '../shared/display/displayStore.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import type { useLeaving } from './useLeaving.ts';

/** What is open, kind by kind, with why it is left so or when somebody comes back for it. */
const props = defineProps<{ leaving: ReturnType<typeof useLeaving>; asked: boolean }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const { work } = useJob();
const groups = computed(() => props.leaving.groups.value);
const fields = (kind: OpenKind) => props.leaving.saidOf(kind);
const places = { survey: 'complaint', program: 'program/cabinet' } as Readonly<Record<string, string>>;
const pathOf = (kind: OpenKind, station: string) =>
  `/jobs/${job.id}/${kind === 'findings' || kind === 'notStated' ? 'program' : (places[station] ?? station)}`;
const today = localDate(new Date().toISOString());
const verdictDone = (words: string) =>
  job.write({ kind: 'followUp', id: VERDICT_DONE, followUp: { due: today, what: words, done: true } });
</script>

<template>
  <section aria-label="Open" data-test="open-items">
    <p
      v-if="leaving.notBack.value"
      class="mb-2 border-l-4 border-amber bg-amber-wash px-3 py-2"
      role="status"
      data-test="not-back"
    >
      {{ countWords('borrowed', leaving.notBack.value.items.length) }}: put back and read back what stands
      above, then hand over.
    </p>
    <p
      v-if="groups.length === 0 && !leaving.notBack.value"
      class="border-l-4 border-good bg-good-wash px-3 py-2"
    >
      ✓ Nothing is open: every code is settled, every test is done.
    </p>
    <template v-else-if="groups.length > 0">
      <h3>Open: {{ work.items.length }}</h3>
      <p class="hint">It may stay so. Say why, or when somebody comes back: it stands on the papers.</p>
      <ul class="mt-1 border-t border-ink">
        <li
          v-for="group in groups"
          :key="group.kind"
          class="border-b border-hairline py-2"
          :data-open="group.kind"
        >
          <details>
            <summary
              class="min-h-8 cursor-pointer py-1 pointer-coarse:min-h-11 pointer-coarse:content-center"
            >
              <strong class="font-semibold">{{ countWords(group.kind, group.items.length) }}</strong>
            </summary>
            <ul class="mt-1 mb-2 list-disc pl-5 text-[14px]">
              <li v-for="item in group.items" :key="item.id">
                {{ display.words(item.words) }}
                <button
                  v-if="item.kind === 'verdict' && session.mayWrite"
                  type="button"
                  class="link"
                  data-test="verdict-done"
                  @click="verdictDone(display.words(item.words))"
                >
                  It is done
                </button>
              </li>
            </ul>
            <RouterLink class="link text-[14px]" :to="pathOf(group.kind, group.items[0]!.station)"
              >Go there</RouterLink
            >
          </details>
          <div v-if="session.mayWrite" class="mt-1 flex flex-wrap gap-2">
            <label class="flex min-w-40 flex-1 flex-col gap-1"
              ><span class="field-label">Why it stays open</span
              ><input
                :value="fields(group.kind).reason"
                maxlength="500"
                :data-test="`why-${group.kind}`"
                :aria-invalid="asked && leaving.missing.value.includes(group.kind)"
                @input="leaving.say(group.kind, { reason: ($event.target as HTMLInputElement).value })"
            /></label>
            <label class="flex flex-col gap-1"
              ><span class="field-label">or come back on</span
              ><input
                type="date"
                class="w-40"
                :min="today"
                :value="fields(group.kind).due"
                :data-test="`back-${group.kind}`"
                @input="leaving.say(group.kind, { due: ($event.target as HTMLInputElement).value })"
            /></label>
          </div>
          <p v-if="asked && leaving.missing.value.includes(group.kind)" class="problem mt-1" role="alert">
            {{ countWords(group.kind, group.items.length) }}: expected why, or a day to come back.
          </p>
        </li>
      </ul>
    </template>
  </section>
</template>
