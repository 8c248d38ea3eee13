<script setup lang="ts">
import { computed, ref } from 'vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import WritingRowLine from './WritingRowLine.vue';
import type { LiveBooklet } from './booklet/useBooklet.ts';
import { acceptRow, rowsToCheck } from './rowsToCheck.ts';
import type { LiveWriting } from './useWriting.ts';

/** All rows of the table; or only those somebody should look at. */
const props = defineProps<{ live: LiveWriting; booklet: LiveBooklet }>();
const show = ref<'all' | 'look'>('all');
const open = computed(() => new Map(props.live.draft.value.open.map((o) => [o.line, o.message])));
const look = computed(() => rowsToCheck(props.live));
const shown = computed(() => (show.value === 'all' ? props.live.rows.value : look.value));
const placed = computed(() => props.live.used.value.filter((row) => row.setting !== null).length);
const options = computed(() => [
  { id: 'all' as const, name: `All ${props.live.rows.value.length}` },
  { id: 'look' as const, name: `To check ${look.value.length}` },
]);

/** The row's strip of the page, where the booklet is at hand. */
function printed(line: number) {
  const at = props.booklet.placeOf(props.live.writing.value.text, line);
  const page = props.booklet.booklet.value?.pages.find((p) => p.page === at?.page);
  return at && page?.picture ? { page, at } : null;
}

const body = ref<HTMLElement | null>(null);
/** Moves to the next row to check, or the one before, from where the focus is. */
function go(by: 1 | -1) {
  const rows = [...(body.value?.querySelectorAll<HTMLElement>('[data-check]') ?? [])];
  if (rows.length === 0) return;
  const here = document.activeElement?.closest('tr[data-key]') ?? null;
  const all = [...(body.value?.querySelectorAll('tr') ?? [])];
  const from = here ? all.indexOf(here as HTMLTableRowElement) : -1;
  const next =
    by === 1
      ? (rows.find((row) => all.indexOf(row as HTMLTableRowElement) > from) ?? rows[0]!)
      : (rows.findLast((row) => all.indexOf(row as HTMLTableRowElement) < from) ?? rows.at(-1)!);
  next.querySelector<HTMLElement>('select')?.focus();
  next.scrollIntoView({ block: 'center' });
}
/** Says that the row is right as it stands, and goes on. */
function accept() {
  const key = document.activeElement?.closest<HTMLElement>('[data-key]')?.dataset['key'];
  const row = look.value.find((one) => one.key === key);
  if (row) acceptRow(props.live, row);
  go(1);
}
</script>

<template>
  <section
    aria-label="Rows"
    data-test="rows"
    @keydown.alt.down.prevent="go(1)"
    @keydown.alt.up.prevent="go(-1)"
    @keydown.alt.enter.prevent="accept"
  >
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <SegmentedControl v-model="show" label="Rows shown" :options="options" />
      <p class="text-soft" role="status" data-test="row-count">
        {{ live.rows.value.length }} rows: {{ placed }} have a meaning,
        {{ live.used.value.length - placed }} no common meaning<template v-if="open.size > 0"
          >, {{ open.size }} to be put right</template
        >
      </p>
    </div>
    <p v-if="look.length > 0" class="hint mt-1 max-md:hidden">
      Alt ↓ and Alt ↑ go to the rows to check; Alt Enter says the row is right as it stands.
    </p>
    <div class="mt-3 md:overflow-x-auto">
      <table class="table-plain w-full max-md:block md:min-w-[50rem]">
        <thead class="max-md:hidden">
          <tr>
            <th class="w-12">Line</th>
            <th class="w-20">Code</th>
            <th>In the booklet</th>
            <th class="w-80">Means</th>
            <th class="w-40">Match</th>
            <th class="w-32"></th>
          </tr>
        </thead>
        <tbody ref="body" class="max-md:block">
          <WritingRowLine
            v-for="row in shown"
            :key="row.key"
            :row="row"
            :live="live"
            :open="open.get(row.line) ?? null"
            :check="look.includes(row)"
            :printed="printed(row.line)"
          />
        </tbody>
      </table>
      <p v-if="shown.length === 0" class="mt-3 text-soft">Nothing left to check.</p>
    </div>
  </section>
</template>
