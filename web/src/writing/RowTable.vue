<script setup lang="ts">
import { computed, ref } from 'vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import WritingRowLine from './WritingRowLine.vue';
import type { LiveWriting, WritingRow } from './useWriting.ts';

/** All rows of the table; or only those somebody should look at. */
const props = defineProps<{ live: LiveWriting }>();
const show = ref<'all' | 'look'>('all');
const open = computed(() => new Map(props.live.draft.value.open.map((o) => [o.line, o.message])));
const toLook = (row: WritingRow) =>
  !row.omitted &&
  (open.value.has(row.line) ||
    row.problems.length > 0 ||
    (!row.decided && (row.setting === null || row.score < 0.75)) ||
    row.choices.some((c) => row.setting !== null && !c.sure));
const look = computed(() => props.live.rows.value.filter(toLook));
const shown = computed(() => (show.value === 'all' ? props.live.rows.value : look.value));
const placed = computed(() => props.live.used.value.filter((row) => row.setting !== null).length);
const options = computed(() => [
  { id: 'all' as const, name: `All ${props.live.rows.value.length}` },
  { id: 'look' as const, name: `To look at ${look.value.length}` },
]);
</script>

<template>
  <section aria-label="Rows" data-test="rows">
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <SegmentedControl v-model="show" label="Rows shown" :options="options" />
      <p class="text-soft" role="status" data-test="row-count">
        {{ live.rows.value.length }} rows: {{ placed }} have a meaning,
        {{ live.used.value.length - placed }} no common meaning<template v-if="open.size > 0"
          >, {{ open.size }} to be put right</template
        >
      </p>
    </div>
    <div class="mt-3 overflow-x-auto">
      <table class="table-plain min-w-[56rem]">
        <thead>
          <tr>
            <th class="w-12">Line</th>
            <th class="w-20">Code</th>
            <th>In the booklet</th>
            <th class="w-80">Means</th>
            <th class="w-40">Match</th>
            <th class="w-32"></th>
          </tr>
        </thead>
        <tbody>
          <WritingRowLine
            v-for="row in shown"
            :key="row.key"
            :row="row"
            :live="live"
            :open="open.get(row.line) ?? null"
          />
        </tbody>
      </table>
      <p v-if="shown.length === 0" class="mt-3 text-soft">Nothing left to check.</p>
    </div>
  </section>
</template>
