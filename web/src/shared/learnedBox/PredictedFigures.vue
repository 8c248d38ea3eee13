<script setup lang="ts">
import { computed } from 'vue';
import {
  estimatedIds,
  predictedIds,
  type EstimatedId,
  type Predicted,
  type PredictedFigure,
  type PredictedId,
} from '@brine/core/machines/identification';
import { useDisplay } from '../display/displayStore.ts';
import { predictedNames, predictedWords } from './predictedWords.ts';
import RangeBar from './RangeBar.vue';

/** What a unit's own box says of its coming days, side by side: each figure with the range that holds it four times out of five. */
const props = defineProps<{
  columns: readonly { readonly id: string; readonly name: string; readonly predicted: Predicted }[];
}>();
const display = useDisplay();
const rows = computed(() =>
  [...predictedIds, ...estimatedIds].flatMap((id) => {
    const cells = props.columns.map(({ predicted }) => predicted[id]);
    const some = cells.filter((cell) => cell !== null);
    if (some.length === 0) return [];
    const [low, high] = [Math.min(...some.map((c) => c.low)), Math.max(...some.map((c) => c.high))];
    // Room beside the widest, so that its ends are seen to be ends.
    const room = Math.max(1e-9, (high - low) * 0.12);
    return [{ id, cells, from: low - room, to: high + room }];
  }),
);
const words = (id: PredictedId | EstimatedId, value: number) => predictedWords(id, value, display.unit);
/** One that does not spread at all is told once. */
const range = (id: PredictedId | EstimatedId, { low, high }: PredictedFigure) =>
  words(id, low) === words(id, high) ? '' : `${words(id, low)} to ${words(id, high)}`;
</script>

<template>
  <table class="table-plain" data-test="own-figures">
    <caption class="pb-1 text-left text-[14px] text-soft">
      Most likely, and from what to what in four of five cases.
    </caption>
    <thead>
      <tr>
        <th>This unit’s coming days</th>
        <th v-for="column in columns" :key="column.id">{{ column.name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.id" :data-figure="row.id">
        <td>{{ predictedNames[row.id] }}</td>
        <td v-for="(cell, i) in row.cells" :key="i" class="text-[14px]">
          <template v-if="cell">
            <span class="font-mono font-semibold whitespace-nowrap">{{
              words(row.id, cell.value)
            }}</span><span class="block text-soft sm:ml-2 sm:inline sm:whitespace-nowrap">{{
              range(row.id, cell)
            }}</span>
            <RangeBar :figure="cell" :from="row.from" :to="row.to" />
          </template>
          <template v-else>none</template>
        </td>
      </tr>
    </tbody>
  </table>
</template>
