<script setup lang="ts">
import type { ToolRow, ToolTable } from '@brine/core/judgement/tools';
import type { SettingValues } from '@brine/core/foundation/settings';
import AppButton from './AppButton.vue';

/** Figures stand right and in one width, words left. */
const isFigures = (table: ToolTable, column: number) =>
  column > 0 &&
  table.rows.length > 0 &&
  table.rows.every((row) => /^([−<\d]|none$|never|not )/.test(row.cells[column] ?? ''));
/** What a tool tried or found; a line with values can be taken into the plan. */
defineProps<{ tables: readonly ToolTable[]; editable: boolean }>();
defineEmits<{
  take: [values: SettingValues, why: string];
  takeCode: [code: NonNullable<ToolRow['code']>, why: string];
}>();
</script>

<template>
  <section
    v-for="table in tables"
    :key="table.id"
    :aria-label="table.title"
    class="shrink-0 overflow-x-auto"
    :data-test="`tool-${table.id}`"
  >
    <h3>{{ table.title }}</h3>
    <table class="table-plain mt-1">
      <thead>
        <tr>
          <th v-for="(head, i) in table.heads" :key="head" :class="{ '!text-right': isFigures(table, i) }">
            {{ head }}
          </th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in table.rows"
          :key="row.id"
          class="[&>td]:!py-1 [&>td]:align-middle"
          :class="{ 'bg-good-wash': row.best, 'text-soft': row.off }"
          :data-row="row.id"
        >
          <td
            v-for="(cell, i) in row.cells"
            :key="i"
            class="text-[14.5px]"
            :class="isFigures(table, i) ? 'text-right font-mono text-[14px]' : ''"
          >
            {{ cell }}
          </td>
          <td class="!pr-0 text-right whitespace-nowrap">
            <span v-if="row.best" class="mr-1 text-good">✓ best here</span>
            <AppButton
              v-if="editable && row.values && !row.off"
              kind="quiet"
              class="pointer-fine:!min-h-8 pointer-coarse:min-h-11"
              :aria-label="`Take ${row.cells[0]}`"
              @click="$emit('take', row.values, row.why ?? '')"
              >Take</AppButton
            >
            <AppButton
              v-if="editable && row.code && !row.off"
              kind="quiet"
              class="pointer-fine:!min-h-8 pointer-coarse:min-h-11"
              :aria-label="`Plan ${row.cells[0]}`"
              :data-test="`plan-${row.id}`"
              @click="$emit('takeCode', row.code, row.why ?? '')"
              >Plan it</AppButton
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
