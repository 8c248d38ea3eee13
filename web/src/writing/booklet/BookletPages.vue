<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import PageFrame from './PageFrame.vue';
import type { LiveBooklet } from './useBooklet.ts';

/** The booklet's pages: which of them are read, how far the reading is, and one of them to look at. */
const props = defineProps<{ booklet: LiveBooklet }>();
const kept = computed(() => props.booklet.booklet.value);
const progress = computed(() => props.booklet.progress.value);
const open = ref<number | null>(null);
const page = computed(() => kept.value?.pages.find((p) => p.page === open.value) ?? null);
watch(kept, (now, before) => {
  if (now?.name !== before?.name) open.value = null;
});
const words = (rows: number, read: boolean) =>
  read ? (rows === 1 ? '1 row' : rows > 0 ? `${rows} rows` : 'no table') : 'a picture';
/** A long booklet shows the pages with a table; the others on demand. */
const all = ref(false);
const FEW = 12;
const listed = computed(() =>
  (kept.value?.pages ?? []).filter(
    (p) =>
      all.value ||
      (kept.value?.pages.length ?? 0) <= FEW ||
      p.rows > 0 ||
      kept.value!.chosen.includes(p.page),
  ),
);
/** The box goes back to what is so where the page was not taken after all. */
async function choose(number: number, box: HTMLInputElement) {
  await props.booklet.choose(number, box.checked);
  box.checked = kept.value?.chosen.includes(number) ?? false;
}
</script>

<template>
  <div data-test="booklet">
    <div v-if="progress" class="flex flex-wrap items-center gap-3" role="status">
      <progress class="w-48" :value="progress.done" :max="progress.of"></progress>
      <span>{{ progress.words }}</span>
      <AppButton kind="quiet" data-test="stop-reading" @click="booklet.stop()">Stop</AppButton>
    </div>
    <FormProblem :message="booklet.problem.value" />
    <section v-if="kept" class="mt-3" aria-label="Pages">
      <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span class="field-label">{{ kept.name }}</span>
        <span class="text-[14px] text-soft"
          >{{ kept.chosen.length }} of {{ kept.pages.length }} pages are read</span
        >
        <AppButton kind="quiet" @click="booklet.close()">Close the booklet</AppButton>
      </div>
      <ul class="mt-2 flex flex-wrap gap-2">
        <li v-for="p in listed" :key="p.page" class="flex items-center border border-edge">
          <label class="flex min-h-11 items-center gap-2 px-2.5 text-[14px]"
            ><input
              type="checkbox"
              :checked="kept.chosen.includes(p.page)"
              :disabled="progress !== null"
              :data-page="p.page"
              @change="choose(p.page, $event.target as HTMLInputElement)"
            />
            Page {{ p.page }}, {{ words(p.rows, p.pieces !== null) }}</label
          >
          <button
            v-if="p.picture"
            type="button"
            class="link min-h-11 border-l border-hairline px-2.5 text-[14px]"
            :aria-expanded="open === p.page"
            @click="open = open === p.page ? null : p.page"
          >
            {{ open === p.page ? 'Hide' : 'Show' }}
          </button>
        </li>
        <li v-if="listed.length < kept.pages.length || all">
          <AppButton kind="quiet" @click="all = !all">{{
            all ? 'Only pages with a table' : `All ${kept.pages.length} pages`
          }}</AppButton>
        </li>
      </ul>
      <PageFrame
        v-if="page"
        :key="page.page"
        class="mt-3 max-w-3xl"
        :page="page"
        :frame="kept.frames[page.page] ?? null"
        @frame="booklet.frame(page.page, $event)"
      />
    </section>
  </div>
</template>
