<script setup lang="ts">
import type { SettingValues } from '@brine/core/settings';
import AppButton from '../shared/ui/AppButton.vue';

/** What was tried, with the one to take marked, and each to be taken. */
defineProps<{
  title: string;
  heads: readonly string[];
  rows: readonly {
    readonly id: string;
    readonly cells: readonly string[];
    readonly best: boolean;
    readonly off: boolean;
    readonly values: SettingValues;
    readonly why: string;
  }[];
  /** Said where none is advised. */
  none: string;
  editable: boolean;
}>();
defineEmits<{ take: [values: SettingValues, why: string] }>();
</script>

<template>
  <section :aria-label="title" class="shrink-0 overflow-x-auto">
    <h3>{{ title }}</h3>
    <p v-if="none" class="mt-1">{{ none }}</p>
    <table class="table-plain mt-1 max-w-3xl whitespace-nowrap">
      <thead>
        <tr>
          <th v-for="(head, i) in heads" :key="head" :class="{ '!text-right': i > 0 }">{{ head }}</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.id"
          :class="{ 'bg-good-wash': row.best, 'text-soft': row.off }"
          :data-best="row.best"
        >
          <td
            v-for="(cell, i) in row.cells"
            :key="i"
            class="font-mono text-[14px]"
            :class="{ 'text-right': i > 0 }"
          >
            {{ cell }}
          </td>
          <td class="!pr-0 text-right whitespace-nowrap">
            <span v-if="row.best" class="mr-2 text-good">✓ best here</span>
            <AppButton v-if="editable && !row.off" kind="quiet" @click="$emit('take', row.values, row.why)"
              >Take</AppButton
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
