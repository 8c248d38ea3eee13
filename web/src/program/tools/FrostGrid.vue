<script setup lang="ts">
import { computed, ref } from 'vue';
import { MOST_FROST_LOOKS } from '@brine/contract/entries';
import { bestPlace, type FrostLook } from '@brine/core/judgement/tools';
import { useJob } from '../../shared/job/useJob.ts';
import { localDate } from '../../shared/display/localTime.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import SegmentedControl from '../../shared/ui/SegmentedControl.vue';

/** The coil's face as it is seen, one look after another: each press notes more frost, the sensor and the best place stand on it. */
const props = defineProps<{
  rows: number;
  columns: number;
  looks: readonly FrostLook[];
  sensor: { readonly row: number; readonly column: number };
  editable: boolean;
}>();
const job = useJob();
const words = ['no frost', 'thin', 'middling', 'thick'];
const latest = computed(() => props.looks.at(-1)?.look ?? 1);
/** The look on the page; one that was begun has no note yet. */
const chosen = ref<number | null>(null);
const look = computed(() => chosen.value ?? latest.value);
const notes = computed(() => props.looks.find((l) => l.look === look.value)?.notes ?? []);
const options = computed(() => [
  ...props.looks.map((l) => ({ id: String(l.look), name: `Look ${l.look}, ${localDate(l.at)}` })),
  ...(props.looks.some((l) => l.look === look.value)
    ? []
    : [{ id: String(look.value), name: `Look ${look.value}` }]),
]);
const mayLookAgain = computed(
  () => props.looks.length > 0 && look.value === latest.value && latest.value < MOST_FROST_LOOKS,
);
const best = computed(() => {
  const found = bestPlace(notes.value, props.sensor);
  return typeof found === 'string' ? null : found.cell;
});
const cells = computed(() =>
  Array.from({ length: props.rows }, (_, r) =>
    Array.from({ length: props.columns }, (__, c) => {
      const [row, column] = [r + 1, c + 1];
      const level = notes.value.find((n) => n.row === row && n.column === column)?.level ?? null;
      return {
        row,
        column,
        level,
        sensor: props.sensor.row === row && props.sensor.column === column,
        best: best.value?.row === row && best.value.column === column,
        words: level === null ? 'not noted' : words[level]!,
      };
    }),
  ),
);
type Cell = (typeof cells.value)[number][number];
/** Not noted, none, thin, middling, thick, and not noted again. */
const press = ({ row, column, level }: Cell) =>
  job.write({
    kind: 'frostNote',
    row,
    column,
    level: level === null ? 0 : level < 3 ? level + 1 : null,
    ...(look.value > 1 ? { look: look.value } : {}),
  });
const shades = ['bg-paper', 'bg-cold/15', 'bg-cold/40', 'bg-cold/75'];
</script>

<template>
  <section aria-label="Frost on the coil" data-test="frost-grid">
    <h3>Frost on the coil’s face</h3>
    <p class="hint mt-1">Best shortly before a defrost. Press a place: none, thin, middling, thick.</p>
    <div v-if="looks.length > 0" class="mt-2 flex flex-wrap items-center gap-3">
      <SegmentedControl
        v-if="options.length > 1"
        label="Look at the coil"
        :options="options"
        :model-value="String(look)"
        @update:model-value="(id) => (chosen = Number(id))"
      />
      <AppButton v-if="editable && mayLookAgain" kind="quiet" @click="chosen = latest + 1"
        >Another look</AppButton
      >
    </div>
    <div
      class="mt-2 grid max-w-xl gap-1"
      :style="{ gridTemplateColumns: `repeat(${columns}, minmax(2.2rem, 1fr))` }"
    >
      <template v-for="line in cells" :key="line[0]?.row">
        <button
          v-for="cell in line"
          :key="cell.column"
          type="button"
          class="relative min-h-11 border text-[15px] font-semibold"
          :class="[
            cell.level === null ? 'border-dashed border-edge text-soft' : 'border-ink ' + shades[cell.level],
            cell.best ? 'outline-3 outline-good outline-offset-[-3px]' : '',
          ]"
          :disabled="!editable"
          :data-cell="`${cell.row}:${cell.column}`"
          @click="press(cell)"
        >
          {{ cell.level === null ? '·' : cell.level }}
          <span class="sr-only"
            >row {{ cell.row }}, column {{ cell.column }}: {{ cell.words
            }}{{ cell.sensor ? ', sensor is here' : '' }}{{ cell.best ? ', best place' : '' }}</span
          >
          <span v-if="cell.sensor" class="absolute top-0 left-1 text-[12px] font-bold text-alarm">S</span>
          <span v-if="cell.best" class="absolute right-1 bottom-0 text-[12px] font-bold text-good">✓</span>
        </button>
      </template>
    </div>
    <p class="hint mt-1">
      0 none, 1 thin, 2 middling, 3 thick, · not noted; <strong class="text-alarm">S</strong> the sensor now,
      <strong class="text-good">✓</strong> where it belongs.
    </p>
  </section>
</template>
